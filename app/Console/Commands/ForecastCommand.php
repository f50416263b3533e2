<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Files\TextInput;
use Harmozon\Core\Files\CaseReader;
use Harmozon\Core\Files\ForecastWriter;
use Harmozon\Core\Forecast\Bill;
use Harmozon\Core\Forecast\Forecast;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Forecast\Marginal;
use Harmozon\Core\Power\BindingCode;
use Harmozon\Core\Words\Amount;

final class ForecastCommand extends CoreCommand
{
    protected $signature = 'harmozon:forecast {case : a case file, or - for standard input} {--json : print JSON instead of a table}';

    protected $description = 'What a chain will give, for how long, what holds it back, and what it costs';

    private ?Forecast $forecast = null;

    private ?Bill $bill = null;

    protected function answer(): array
    {
        $case = (new CaseReader)->json(TextInput::text($this->path('case'), 'case'));
        $this->forecast = (new Forecaster)->forecast($case->fitter()->answer($case->outlet, $case->vehicle)->best, $case->conditions);
        $this->bill = Bill::ofForecast($this->forecast, $case->conditions);

        return (new ForecastWriter)->forecast($this->forecast, $case->conditions);
    }

    protected function describe(array $answer): void
    {
        $forecast = $this->forecast;
        if ($forecast === null) {
            return;
        }
        $this->line($forecast->answer->outcome->words());
        $this->line(implode(' > ', $forecast->answer->chain->linkIds()));
        if ($forecast->stopped !== null) {
            $this->line($forecast->stopped);
        }
        if ($forecast->minutes === null) {
            return;
        }
        $this->line(sprintf(
            '%s to %s: %.1f kWh at the plug, %.1f kWh in the pack, mean %s, peak %s',
            Amount::duration($forecast->minutes), Amount::percent($forecast->socEnd), $forecast->plugKwh, $forecast->packKwh, Amount::kw($forecast->meanKw()), Amount::kw($forecast->peakKw),
        ));
        if ($this->bill !== null) {
            $member = $this->bill->withMembership();
            $this->line(sprintf('%s %s%s', $this->bill->amount(), $this->bill->currency(), $member === null ? '' : ", {$member} for members"));
        }
        $this->table(['held by', 'minutes'], array_map(
            static fn (string $code, float $minutes): array => [BindingCode::from($code)->words(), sprintf('%.1f', $minutes)],
            array_keys($forecast->minutesByBinding), $forecast->minutesByBinding,
        ));
        $this->table(['from', 'minutes for 5 %'], array_map(
            static fn (Marginal $m): array => [Amount::percent($m->soc), sprintf('%.1f', $m->minutesPer5)],
            $forecast->marginal,
        ));
        foreach ($forecast->answer->cautions() as $caution) {
            $this->line('! '.$caution);
        }
    }
}
