<?php

declare(strict_types=1);

namespace App\Printing;

/** Lines over a session's minutes in one frame, distinguished by their dashes, since many printers have no colours. */
final class Curves
{
    private const DASHES = ['', '2,1', '0.6,0.8', '3,1,0.6,1'];

    /** Room for the figures at the left, and for the unit above (mm). */
    private const LEFT = 12.0;

    private const ABOVE = 4.5;

    private const THICK = 0.35;

    /** CSS Values 3, 5.2. */
    private const PIXELS_A_MM = 96 / 25.4;

    /** Approximate width of a letter in a name (mm). */
    private const LETTER = 1.35;

    /** @var list<array{string, list<array{float, float|null}>}> */
    private array $lines = [];

    /**
     * @param  string  $unit  of the upright axis
     * @param  \Closure(float): string  $figure  writes a figure of an axis
     */
    public function __construct(private readonly string $unit, private readonly string $across, private readonly \Closure $figure)
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

    /**
     * The frame with its lines as a drawing, and their names around it.
     *
     * @param  float  $width  mm, of all of it
     * @param  float  $height  mm, of the frame
     */
    public function html(float $width, float $height): string
    {
        $all = array_merge(...array_column($this->lines, 1));
        $values = array_values(array_filter(array_column($all, 1), static fn (?float $v): bool => $v !== null));
        $lastS = max([60.0, ...array_map(static fn (array $p): float => (float) $p[0], $all)]);
        [$least, $most, $step] = self::nice($values);
        $inner = $width - self::LEFT;
        $x = static fn (float $s): float => $inner * $s / $lastS;
        $y = static fn (float $v): float => $height - $height * ($v - $least) / ($most - $least);

        $drawn = $around = '';
        for ($v = $least; $v <= $most + $step / 1000; $v += $step) {
            $drawn .= self::stroke([[0.0, $y($v)], [$inner, $y($v)]], 0.08, '', '#bebeb8');
            $around .= self::label(0, self::ABOVE + $y($v) - 1.2, ($this->figure)($v));
        }
        $around .= self::label(0, 0.2, $this->unit);
        $minutes = $lastS / 60;
        $every = self::step($minutes / 8);
        for ($m = 0.0; $m <= $minutes; $m += $every) {
            $around .= self::label(self::LEFT + $x(60 * $m) - 0.8, self::ABOVE + $height + 1.0, ($this->figure)($m));
        }
        $foot = self::ABOVE + $height + 4.4;
        $around .= sprintf('<span style="right: 0; top: %.2Fmm">%s</span>', $foot, Sheet::printable($this->across));
        $at = self::LEFT;
        foreach ($this->lines as $i => [$name, $points]) {
            $drawn .= $this->path($points, $x, $y, self::DASHES[$i % 4]);
            $around .= self::picture(self::stroke([[0.0, 1.0], [8.0, 1.0]], self::THICK, self::DASHES[$i % 4]), $at, $foot, 8.0, 2.0).self::label($at + 9, $foot, $name);
            $at += 14 + self::LETTER * mb_strlen($name);
        }

        return sprintf('<div class="chart" style="height: %.2Fmm">%s%s</div>', $foot + 4, self::picture($drawn, self::LEFT, self::ABOVE, $inner, $height), $around);
    }

    /**
     * @param  list<array{float, float|null}>  $points
     * @param  \Closure(float): float  $x
     * @param  \Closure(float): float  $y
     */
    private function path(array $points, \Closure $x, \Closure $y, string $dashes): string
    {
        $run = [];
        $drawn = '';
        foreach ([...$points, [0.0, null]] as [$s, $v]) {
            if ($v !== null) {
                $run[] = [$x($s), $y($v)];

                continue;
            }
            $drawn .= count($run) >= 2 ? self::stroke($run, self::THICK, $dashes) : '';
            $run = [];
        }

        return $drawn;
    }

    /**
     * In pixels, the only length the library accepts inside a drawing.
     *
     * @param  list<array{float, float}>  $points  mm
     */
    private static function stroke(array $points, float $thick, string $dashes, string $ink = '#1e262c'): string
    {
        $path = implode(' ', array_map(static fn (array $p): string => sprintf('%.2F,%.2F', $p[0] * self::PIXELS_A_MM, $p[1] * self::PIXELS_A_MM), $points));
        $dashes = implode(',', array_map(static fn (string $d): string => sprintf('%.2F', (float) $d * self::PIXELS_A_MM), $dashes === '' ? [] : explode(',', $dashes)));

        return sprintf('<polyline points="%s" fill="none" stroke="%s" stroke-width="%.2F" %s/>', $path, $ink, $thick * self::PIXELS_A_MM, $dashes === '' ? '' : sprintf('stroke-dasharray="%s"', $dashes));
    }

    private static function picture(string $drawn, float $left, float $top, float $width, float $height): string
    {
        $svg = sprintf('<svg xmlns="http://www.w3.org/2000/svg" width="%.2F" height="%.2F">%s</svg>', $width * self::PIXELS_A_MM, $height * self::PIXELS_A_MM, $drawn);

        return sprintf('<img alt="" style="left: %.2Fmm; top: %.2Fmm; width: %.2Fmm; height: %.2Fmm" src="data:image/svg+xml;base64,%s">', $left, $top, $width, $height, base64_encode($svg));
    }

    private static function label(float $left, float $top, string $text): string
    {
        return sprintf('<span style="left: %.2Fmm; top: %.2Fmm">%s</span>', $left, $top, Sheet::printable($text));
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

    /** The next of 1, 2, 5 and their multiples of ten. */
    private static function step(float $rough): float
    {
        $ten = 10 ** floor(log10(max(1e-6, $rough)));

        return $ten * ($rough / $ten <= 1 ? 1 : ($rough / $ten <= 2 ? 2 : ($rough / $ten <= 5 ? 5 : 10)));
    }
}
