<?php

declare(strict_types=1);

namespace App\Networks;

use App\Models\NetworkTerm;
use Harmozon\Core\Equipment\Coupler;
use Harmozon\Core\Equipment\UnknownCoupler;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Ocpi\AssignedTerms;
use Harmozon\Core\Ocpi\EvseStatus;
use Harmozon\Core\Ocpi\TermKind;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** The meanings this garage has assigned to networks' words. */
final class NetworkTerms
{
    /** The most words of one garage. */
    private const MOST = 200;

    /** As in OCPI, and in the table. */
    private const LONGEST = 48;

    public function known(): AssignedTerms
    {
        $assigned = new AssignedTerms;
        foreach (NetworkTerm::query()->orderBy('id')->get() as $term) {
            $kind = TermKind::tryFrom($term->kind);
            $assigned = $kind === null ? $assigned : $assigned->with($kind, $term->theirs, $term->ours);
        }

        return $assigned;
    }

    /**
     * The known meanings and those just assigned.
     *
     * @param  string|null  $json  `{"terms": [{"kind": "standard", "theirs": "…", "ours": "ccs2"}]}`
     *
     * @throws FieldError when ours is none of ours
     */
    public function with(?string $json): AssignedTerms
    {
        $assigned = $this->known();
        foreach (self::typed($json) as [$kind, $theirs, $ours]) {
            $assigned = $assigned->with($kind, $theirs, $ours);
        }

        return $assigned;
    }

    /** @throws FieldError */
    public function remember(?string $json): void
    {
        foreach (self::typed($json) as [$kind, $theirs, $ours]) {
            NetworkTerm::query()->updateOrCreate(['kind' => $kind->value, 'theirs' => $theirs], ['ours' => $ours]);
        }
        $tooMany = NetworkTerm::query()->count() - self::MOST;
        if ($tooMany > 0) {
            throw FieldError::at('terms', Message::of('field.too_many', most: Amount::count(self::MOST)));
        }
    }

    /** @return list<array{TermKind, string, string}> */
    private static function typed(?string $json): array
    {
        if ($json === null || $json === '') {
            return [];
        }
        $typed = [];
        foreach (Node::fromJson($json)->objects('terms') as $term) {
            $kind = $term->choice('kind', TermKind::class) ?? throw $term->fail('kind', Message::of('field.required'));
            $theirs = $term->textOrNull('theirs', self::LONGEST) ?? throw $term->fail('theirs', Message::of('field.required'));
            $typed[] = [$kind, $theirs, self::ours($term, $kind)];
        }

        return $typed;
    }

    private static function ours(Node $term, TermKind $kind): string
    {
        if ($kind === TermKind::Status) {
            return $term->choice('ours', EvseStatus::class)->value ?? throw $term->fail('ours', Message::of('field.required'));
        }
        $ours = $term->raw('ours');
        if (! is_string($ours)) {
            throw $term->fail('ours', Message::of('field.required'));
        }
        try {
            return $ours === AssignedTerms::LEFT_OUT ? $ours : Coupler::of($ours)->id;
        } catch (UnknownCoupler $e) {
            throw $term->fail('ours', $e->problem);
        }
    }
}
