<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Words\Message;

/** Looks at an adapter before it is bought: what speaks against it, what is still to ask, and what it would add. */
final readonly class Vetting
{
    /**
     * @param  list<VettingReason>  $reasons  the weightiest first
     * @param  list<Reached>  $adds  pairs that charge with it and not without
     * @param  list<Reached>  $faster  pairs that charge without it, and with more power with it
     * @param  list<AlreadyOwned>  $already  owned pieces that serve pairs it would serve, those with the most first
     * @param  int  $serves  how many pairs it would serve at all
     */
    private function __construct(public VettingVerdict $verdict, public array $reasons, public array $adds, public array $faster, public array $already, public int $serves)
    {
    }

    /** @param  KitQuestion  $garage  its candidates are left out */
    public static function of(Adapter $adapter, VettingAnswers $answers, KitQuestion $garage): self
    {
        $fit = AdapterFit::of($adapter, $garage);
        $reasons = [...self::against($adapter, $answers), ...$fit->reasons($answers), ...self::toAsk($adapter, $answers)];
        usort($reasons, static fn (VettingReason $a, VettingReason $b): int => [$b->isDecisive, self::rank($a->weight)] <=> [$a->isDecisive, self::rank($b->weight)]);

        return new self(self::verdict($reasons), $reasons, $fit->adds(), $fit->faster(), $fit->already(), $fit->serves());
    }

    /** @param  list<VettingReason>  $reasons */
    private static function verdict(array $reasons): VettingVerdict
    {
        return match (true) {
            array_filter($reasons, static fn (VettingReason $r): bool => $r->isDecisive) !== [] => VettingVerdict::LeaveIt,
            array_filter($reasons, static fn (VettingReason $r): bool => $r->weight !== Weight::Low) !== [] => VettingVerdict::AskFirst,
            default => VettingVerdict::UseIt,
        };
    }

    private static function rank(Weight $weight): int
    {
        return (int) array_search($weight, Weight::cases(), true);
    }

    /** @return list<VettingReason> */
    private static function against(Adapter $adapter, VettingAnswers $answers): array
    {
        $isAc = self::isFor($adapter, CurrentKind::Ac);
        $isDc = self::isFor($adapter, CurrentKind::Dc);

        return array_values(array_filter([
            $adapter->trust->recalled === true ? VettingReason::against('recalled', Message::of('vet_against.recalled')) : null,
            $adapter->trust->damaged === true ? VettingReason::against('damaged', Message::of('vet_against.damaged')) : null,
            $answers->soldFor === SoldFor::Dc && ! $isDc ? VettingReason::against('sold_for', Message::of('vet_against.ac_sold_for_dc')) : null,
            $answers->soldFor === SoldFor::Ac && ! $isAc ? VettingReason::against('sold_for', Message::of('vet_against.dc_sold_for_ac')) : null,
            $adapter->input->is($adapter->output) && $isDc ? VettingReason::against('dc_extension', Message::of('vet_against.dc_extension')) : null,
        ]));
    }

    /** Whether it may pass this kind of current: as its label says, else as its couplers allow. */
    private static function isFor(Adapter $adapter, CurrentKind $current): bool
    {
        return ($adapter->passes->current === null || $adapter->passes->current === $current)
            && $adapter->input->family->carries($current) && $adapter->output->family->carries($current);
    }

    /** @return list<VettingReason> */
    private static function toAsk(Adapter $adapter, VettingAnswers $answers): array
    {
        $reasons = [];
        foreach (VettingQuestion::cases() as $question) {
            $answer = $answers->to($question);
            if ($question === VettingQuestion::PlateSaid && $answer === VettingAnswer::Yes && ($adapter->rating->plate->maxV === null || $adapter->rating->plate->continuousA === null)) {
                $reasons[] = VettingReason::toAsk($question->value, $question->weight(), Message::of('vet_open.plate_not_noted'));
            } elseif ($answer !== VettingAnswer::Yes) {
                $reasons[] = VettingReason::toAsk($question->value, $question->weight(), $answer === VettingAnswer::No ? $question->denied() : $question->open());
            }
        }

        return $reasons;
    }
}
