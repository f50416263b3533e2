<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Power\BindingCode;
use Harmozon\Core\Power\HeatLink;
use Harmozon\Core\Power\KwLimit;
use Harmozon\Core\Power\LimitSet;

/**
 * The smallest of all limits along a session. Between the knots of the curves every limit is a straight line over the
 * state of charge: the fewest amps times the volts, the fewest constant kW, the charge curve. Looked at in rising order.
 */
final class Envelope
{
    /** Limits closer than this share of the power are one limit. */
    private const SAME = 1e-9;

    /** Slopes closer than this (kW per percent) are one slope. */
    private const LEVEL = 1e-9;

    /** From this load on a link is at its limit: what rounding leaves below 1 is not a boost. */
    public const FULL = 1 - 1e-6;

    /** Power that every link allows where it was last looked (kW at the plug), and how it changes (kW per percent). */
    public float $kw = 0.0;

    public float $kwPerPercent = 0.0;

    /** The state of charge up to which the same limit binds along the same line. */
    public float $untilSoc = 0.0;

    /** Volts there (per phase, for AC), and how they change (V per percent). */
    public float $volts = 0.0;

    public float $voltsPerPercent = 0.0;

    public BindingCode $binding = BindingCode::VehicleCurve;

    public string $linkId = '';

    /** @var array<string, float> heat load by link id */
    public array $theta = [];

    /** @var array<string, HeatLink> */
    private array $heat = [];

    /** @var list<array{from: float, to: float, v: float, vPerPercent: float, kw: float, kwPerPercent: float}> */
    private readonly array $stretches;

    private int $at = 0;

    /** Where it was last looked. */
    private float $soc = 0.0;

    /** A limit has changed since. */
    private bool $isStale = true;

    private readonly float $kwPerVA;

    private float $leastA = INF;

    private ?BindingCode $ampsCode = null;

    private string $ampsLink = '';

    private float $leastKw = INF;

    private ?BindingCode $kwCode = null;

    private string $kwLink = '';

    /** @param  bool  $obeysHeat  false: links keep allowing their boost whatever their load, as no sound charger would */
    public function __construct(private readonly LimitSet $limits, float $fromSoc, float $toSoc, private readonly bool $obeysHeat = true)
    {
        $this->stretches = self::stretches($limits, $fromSoc, $toSoc);
        $this->kwPerVA = $limits->phases / 1000;
        foreach ($limits->heat as $link) {
            $this->heat[$link->linkId] = $link;
            $this->theta[$link->linkId] = $link->theta;
        }
        foreach ($limits->kw as $limit) {
            $this->add($limit);
        }
        $this->findAmps();
    }

    /** Whether any limit at all is known. */
    public function isKnown(): bool
    {
        return $this->leastA < INF || $this->leastKw < INF || $this->limits->curve !== null;
    }

    /** A constant limit that holds from now on. */
    public function add(KwLimit $limit): void
    {
        $this->isStale = true;
        if ($limit->kw < $this->leastKw || ($limit->kw === $this->leastKw && $this->kwCode !== null && $limit->code->precedence() < $this->kwCode->precedence())) {
            [$this->leastKw, $this->kwCode, $this->kwLink] = [$limit->kw, $limit->code, $limit->linkId];
        }
    }

    /** Looks at a state of charge: sets everything that is public. */
    public function lookAt(float $soc): void
    {
        if (! $this->isStale && $soc >= $this->soc && $soc < $this->untilSoc - 1e-9) {
            $this->kw += $this->kwPerPercent * ($soc - $this->soc);
            $this->volts += $this->voltsPerPercent * ($soc - $this->soc);
            $this->soc = $soc;

            return;
        }
        $this->isStale = false;
        $this->soc = $soc;
        while ($soc >= $this->stretches[$this->at]['to'] - 1e-9 && isset($this->stretches[$this->at + 1])) {
            $this->at++;
        }
        $stretch = $this->stretches[$this->at];
        $past = $soc - $stretch['from'];
        $this->volts = $stretch['v'] + $stretch['vPerPercent'] * $past;
        $this->voltsPerPercent = $stretch['vPerPercent'];
        $lines = [];
        if ($this->ampsCode !== null) {
            $lines[] = [$this->leastA * $this->volts * $this->kwPerVA, $this->leastA * $stretch['vPerPercent'] * $this->kwPerVA, $this->ampsCode, $this->ampsLink];
        }
        if ($this->kwCode !== null) {
            $lines[] = [$this->leastKw, 0.0, $this->kwCode, $this->kwLink];
        }
        if ($this->limits->curve !== null) {
            $lines[] = [$stretch['kw'] + $stretch['kwPerPercent'] * $past, $stretch['kwPerPercent'], $this->limits->curve->code, $this->limits->curve->linkId];
        }
        $lowest = $lines[0] ?? throw new \DomainException('no limit of this chain is known');
        foreach ($lines as $line) {
            if (self::isLower($line, $lowest)) {
                $lowest = $line;
            }
        }
        [$this->kw, $this->kwPerPercent, $this->binding, $this->linkId] = $lowest;
        $this->untilSoc = $stretch['to'];
        foreach ($lines as [$kw, $kwPerPercent]) {
            if ($kwPerPercent < $this->kwPerPercent - self::LEVEL) {
                $crossing = $soc + max(0.0, $kw - $this->kw) / ($this->kwPerPercent - $kwPerPercent);
                $this->untilSoc = min($this->untilSoc, max($crossing, $soc + 1e-7));
            }
        }
    }

    /** Amps at the plug (per phase, for AC) that carry so many kW at so many volts. */
    public function amps(float $kw, float $volts): float
    {
        return $kw / ($volts * $this->kwPerVA);
    }

    /** Seconds until a link in boost is at its limit at these amps, when that happens within the span; else the span. */
    public function secondsUntilFull(float $amps, float $spanS): float
    {
        foreach ($this->heat as $id => $link) {
            $theta = $this->theta[$id];
            if ($theta < self::FULL && $amps > $link->duty->effectiveA) {
                $spanS = min($spanS, 60 * $link->duty->minutesUntilFull($theta, $amps));
            }
        }

        return $spanS;
    }

    /** Lets every link take a current, given by the mean of its square (A²), for so long. */
    public function warm(float $meanSquareA2, float $seconds): void
    {
        $changed = false;
        foreach ($this->heat as $id => $link) {
            $before = $this->theta[$id];
            $after = $link->duty->afterSquare($before, $meanSquareA2, $seconds / 60);
            $this->theta[$id] = $after;
            $changed = $changed || ($before < self::FULL) !== ($after < self::FULL);
        }
        if ($changed) {
            $this->findAmps();
        }
    }

    private function findAmps(): void
    {
        $this->isStale = true;
        [$this->leastA, $this->ampsCode, $this->ampsLink] = [INF, null, ''];
        foreach ($this->limits->amps as $limit) {
            $link = $this->heat[$limit->linkId] ?? null;
            $amps = $link === null ? $limit->amps : $link->duty->allowsA($this->obeysHeat && $this->theta[$limit->linkId] >= self::FULL ? 1.0 : 0.0);
            if ($amps < $this->leastA || ($amps === $this->leastA && $this->ampsCode !== null && $limit->code->precedence() < $this->ampsCode->precedence())) {
                [$this->leastA, $this->ampsCode, $this->ampsLink] = [$amps, $limit->code, $limit->linkId];
            }
        }
    }

    /**
     * Of two limits at the same power, the one that falls away faster binds next; of two that stay together, the one that
     * is not the vehicle's own is named, since it is what could be changed.
     *
     * @param  array{float, float, BindingCode, string}  $line  kW, kW per percent, code, link
     * @param  array{float, float, BindingCode, string}  $other
     */
    private static function isLower(array $line, array $other): bool
    {
        $same = self::SAME * max(1.0, abs($other[0]));

        return match (true) {
            $line[0] < $other[0] - $same => true,
            $line[0] > $other[0] + $same => false,
            abs($line[1] - $other[1]) > self::LEVEL => $line[1] < $other[1],
            default => $line[2]->precedence() < $other[2]->precedence(),
        };
    }

    /** @return list<array{from: float, to: float, v: float, vPerPercent: float, kw: float, kwPerPercent: float}> */
    private static function stretches(LimitSet $limits, float $fromSoc, float $toSoc): array
    {
        $curve = $limits->curve?->kw;
        $ends = array_unique([...$limits->plugV->knotsBetween($fromSoc, $toSoc), ...($curve?->knotsBetween($fromSoc, $toSoc) ?? []), $toSoc]);
        sort($ends);
        $stretches = [];
        $from = $fromSoc;
        foreach ($ends as $to) {
            $length = max($to - $from, 1e-9);
            [$v, $kw] = [$limits->plugV->at($from), $curve?->at($from) ?? INF];
            $stretches[] = [
                'from' => $from,
                'to' => $to,
                'v' => $v,
                'vPerPercent' => ($limits->plugV->at($to) - $v) / $length,
                'kw' => $kw,
                'kwPerPercent' => $curve === null ? 0.0 : ($curve->at($to) - $kw) / $length,
            ];
            $from = $to;
        }

        return $stretches;
    }
}
