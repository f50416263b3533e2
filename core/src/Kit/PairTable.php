<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Fit\Answer;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Fit\Flow;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\Outcome;

/** Every car at every outlet, judged by the gates with everything that is owned or could be bought. */
final readonly class PairTable
{
    /**
     * @param  list<Adapter>  $pieces  owned ones first
     * @param  int  $owned  how many of them are owned
     * @param  list<Pair>  $pairs
     */
    private function __construct(public array $pieces, public int $owned, public array $pairs)
    {
    }

    public static function of(KitQuestion $question): self
    {
        $pieces = [...$question->owned, ...$question->candidates];
        $numbers = [];
        foreach ($pieces as $number => $piece) {
            $numbers[spl_object_id($piece)] = $number;
        }
        $fitter = new Fitter($pieces, $question->conditions, $question->policy);
        $pairs = [];
        foreach ($question->outlets as $at) {
            foreach ($question->vehicles as $vehicle) {
                $answer = $fitter->answer($at->outlet, $vehicle);
                $pairs[] = new Pair($vehicle, $at, self::ways($answer, $numbers), self::needed($answer, $numbers, count($question->owned)), self::never($answer));
            }
        }

        return new self($pieces, count($question->owned), $pairs);
    }

    /**
     * @param  array<int, int>  $numbers  of the pieces by object id
     * @return list<Reach>
     */
    private static function ways(Answer $answer, array $numbers): array
    {
        $ways = [];
        $rank = 0;
        $before = null;
        foreach ([$answer->best, ...$answer->alternatives] as $one) {
            if ($one->outcome->flow() !== Flow::Yes) {
                continue;
            }
            if ($before !== null && $before->compare($one) !== 0) {
                $rank++;
            }
            $piece = self::pieceOf($one, $numbers);
            $ways[$piece] ??= new Reach($piece, $rank, $one->expectedPeakKw() ?? 0.0, $one->isAtMost(), $one->peak?->binding);
            $before = $one;
        }

        return array_values($ways);
    }

    /** @param  array<int, int>  $numbers */
    private static function needed(Answer $answer, array $numbers, int $owned): ?int
    {
        foreach ([$answer->best, ...$answer->alternatives] as $one) {
            $piece = self::pieceOf($one, $numbers);
            if ($piece < $owned) {
                return $one->outcome->mayFlow() && $piece !== Reach::WITHOUT ? $piece : null;
            }
        }

        return null;
    }

    /**
     * The answer that says why nothing charges here; null where an unread fact may still turn out well. A piece that must
     * not be used is no reason while a sound one wouldn't charge either.
     */
    private static function never(Answer $answer): ?ChainAnswer
    {
        if ($answer->best->outcome->mayFlow()) {
            return null;
        }
        foreach ($answer->alternatives as $one) {
            if ($one->outcome === Outcome::WontCharge && ! $one->gate(GateName::Adapter)->fails()) {
                return $one;
            }
        }

        return $answer->best;
    }

    /** @param  array<int, int>  $numbers */
    private static function pieceOf(ChainAnswer $answer, array $numbers): int
    {
        foreach ($answer->chain->adapters as $adapter) {
            if (isset($numbers[spl_object_id($adapter)])) {
                return $numbers[spl_object_id($adapter)];
            }
        }

        return Reach::WITHOUT;
    }

    /** A piece by its number. */
    public function piece(int $number): Adapter
    {
        return $this->pieces[$number] ?? throw new \LogicException('numbers are those of the pieces');
    }
}
