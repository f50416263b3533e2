<?php

declare(strict_types=1);

namespace App\Bench;

/** A readings file for timing: a row each second with slightly noisy charge, volts, amps and kW; the same every time. */
final class Readings
{
    public static function write(string $path, int $rows): void
    {
        mt_srand(1);
        $stream = fopen($path, 'wb');
        if ($stream === false) {
            throw new \RuntimeException('the readings to be timed cannot be written');
        }
        fwrite($stream, "t_s,soc_pct,volts,amps,kw\n");
        for ($s = 0; $s < $rows; $s++) {
            $volts = 340 + 20 * $s / $rows + mt_rand(-10, 10) / 10;
            $amps = 250 + mt_rand(-20, 20) / 10;
            fwrite($stream, sprintf("%d,%.1f,%.1f,%.1f,%.1f\n", $s, 10 + 70 * $s / $rows, $volts, $amps, $volts * $amps / 1000));
        }
        fclose($stream);
    }
}
