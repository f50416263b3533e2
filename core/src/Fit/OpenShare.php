<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Equipment\CurrentKind;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** A shared cabinet when nobody knows whether there is a neighbour: the power is only an upper limit. */
final readonly class OpenShare
{
    private const SAME_KW = 1e-6;

    /** @param  float|null  $kw  null when it cannot be known */
    private function __construct(public ?float $kw)
    {
    }

    /** @return self|null null where a neighbour is known or ruled out, no policy was read, or one would take nothing away */
    public static function of(Chain $chain, float $aloneKw): ?self
    {
        $cabinet = $chain->outlet->feed->cabinet;
        if ($chain->current !== CurrentKind::Dc || $cabinet?->policy === null || $cabinet->partnerActive !== null) {
            return null;
        }
        $share = $cabinet->shareIfJoinedKw();

        return $share !== null && $share >= $aloneKw - self::SAME_KW ? null : new self($share);
    }

    public function caution(): Message
    {
        return $this->kw === null ? Message::of('caution.neighbour_unknown') : Message::of('caution.neighbour_share', kw: Amount::kw($this->kw));
    }
}
