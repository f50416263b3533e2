<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Power\BindingCode;
use Harmozon\Core\Power\LimitSet;

/** Finds the first moment when the rest of the chain could carry more than an adapter that may not limit the current itself. */
final class AdapterWatch
{
    /** More by no more than this share is rounding. */
    private const SAME = 1e-9;

    /** Null while there is none. */
    public ?AdapterPassed $passed = null;

    /** @var list<array{Adapter, LimitSet, LimitSet}> adapter, its own limits, those of the rest */
    private readonly array $watched;

    private bool $hasFlowed = false;

    public function __construct(Chain $chain, LimitSet $limits)
    {
        $watched = [];
        foreach ($chain->adapters as $adapter) {
            if (! $adapter->holdsBack()) {
                $watched[] = [$adapter, $limits->only($adapter->id), $limits->without($adapter->id)];
            }
        }
        $this->watched = $watched;
    }

    public function add(Step $step): void
    {
        if ($this->passed !== null || $step->binding === BindingCode::Handshake) {
            return;
        }
        foreach ($this->watched as [$adapter, $own, $rest]) {
            $ownKw = $own->kwThen($step->soc, $step->heat->spent, $step->tS / 60, $step->heat->packC);
            $restKw = $rest->kwThen($step->soc, $step->heat->spent, $step->tS / 60, $step->heat->packC);
            if ($ownKw !== null && $restKw !== null && $restKw > $ownKw * (1 + self::SAME)) {
                $kwPerAmp = $rest->kwPerAmp($step->soc);
                $this->passed ??= new AdapterPassed($adapter, $step->tS / 60, $step->soc, $ownKw / $kwPerAmp, $restKw / $kwPerAmp, ! $this->hasFlowed);
            }
        }
        $this->hasFlowed = true;
    }
}
