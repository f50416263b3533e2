<?php

declare(strict_types=1);

namespace App\Printing;

use TCPDF;

/** Lines over the minutes of a session, in one frame; told apart by their dashes, as printers know no colours. */
final class Curves
{
    private const DASHES = ['', '2,1', '0.6,0.8', '3,1,0.6,1'];

    private const LEFT = 12.0;

    /** @var list<array{string, list<array{float, float|null}>}> */
    private array $lines = [];

    /** @param  string  $unit  of the upright axis */
    public function __construct(private readonly string $unit, private readonly string $across)
    {
    }

    /** @param  list<array{float, float|null}>  $points  seconds and value; null breaks the line */
    public function line(string $name, array $points): self
    {
        if ($points !== []) {
            $this->lines[] = [$name, $points];
        }

        return $this;
    }

    public function isEmpty(): bool
    {
        return $this->lines === [];
    }

    public function draw(TCPDF $pdf, float $left, float $top, float $width, float $height): void
    {
        $all = array_merge(...array_column($this->lines, 1));
        $values = array_values(array_filter(array_column($all, 1), static fn (?float $v): bool => $v !== null));
        $lastS = max([60.0, ...array_map(static fn (array $p): float => (float) $p[0], $all)]);
        [$least, $most, $step] = self::nice($values);
        $inner = $width - self::LEFT;
        $x = static fn (float $s): float => $left + self::LEFT + $inner * $s / $lastS;
        $y = static fn (float $v): float => $top + $height - $height * ($v - $least) / ($most - $least);

        $pdf->setFont('dejavusans', '', 6.5);
        $pdf->setTextColorArray([96, 104, 108]);
        for ($v = $least; $v <= $most + $step / 1000; $v += $step) {
            $pdf->Line($left + self::LEFT, $y($v), $left + $width, $y($v), ['width' => 0.08, 'dash' => 0, 'color' => [190, 190, 184]]);
            $pdf->Text($left, $y($v) - 1.6, (string) round($v, 2));
        }
        $pdf->Text($left, $top - 4.2, $this->unit);
        $minutes = $lastS / 60;
        $every = self::step($minutes / 8);
        for ($m = 0.0; $m <= $minutes; $m += $every) {
            $pdf->Text($x(60 * $m) - 1.2, $top + $height + 0.4, (string) round($m, 1));
        }
        $pdf->setXY($left, $top + $height + 3.4);
        $pdf->Cell($width, 3, $this->across, 0, 0, 'R');
        $at = $left + self::LEFT;
        foreach ($this->lines as $i => [$name, $points]) {
            $style = ['width' => 0.35, 'dash' => self::DASHES[$i % 4] === '' ? 0 : self::DASHES[$i % 4], 'color' => [30, 38, 44]];
            $this->path($pdf, $points, $x, $y, $style);
            $pdf->Line($at, $top + $height + 5, $at + 8, $top + $height + 5, $style);
            $pdf->Text($at + 8.5, $top + $height + 3.4, $name);
            $at += 12 + $pdf->GetStringWidth($name);
        }
        $pdf->setLineStyle(['width' => 0.2, 'dash' => 0, 'color' => [30, 38, 44]]);
    }

    /**
     * @param  list<array{float, float|null}>  $points
     * @param  \Closure(float): float  $x
     * @param  \Closure(float): float  $y
     * @param  array<string, mixed>  $style
     */
    private function path(TCPDF $pdf, array $points, \Closure $x, \Closure $y, array $style): void
    {
        $run = [];
        foreach ([...$points, [0.0, null]] as [$s, $v]) {
            if ($v !== null) {
                array_push($run, $x($s), $y($v));

                continue;
            }
            if (count($run) >= 4) {
                $pdf->PolyLine($run, 'D', ['all' => $style]);
            }
            $run = [];
        }
    }

    /**
     * @param  list<float>  $values
     * @return array{float, float, float} the ends of the axis, and its steps
     */
    private static function nice(array $values): array
    {
        [$least, $most] = $values === [] ? [0.0, 1.0] : [min([0.0, ...$values]), max($values)];
        $step = self::step(max(0.01, $most - $least) / 4);

        return [floor($least / $step) * $step, max(1, ceil($most / $step)) * $step, $step];
    }

    /** The next of 1, 2, 5 and their tens. */
    private static function step(float $rough): float
    {
        $ten = 10 ** floor(log10(max(1e-6, $rough)));

        return $ten * ($rough / $ten <= 1 ? 1 : ($rough / $ten <= 2 ? 2 : ($rough / $ten <= 5 ? 5 : 10)));
    }
}
