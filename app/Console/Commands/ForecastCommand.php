<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Files\TextInput;
use Harmozon\Core\Answers\ForecastWriter;
use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Forecast\Bill;
use Harmozon\Core\Forecast\Forecast;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Forecast\NextFivePercent;
use Harmozon\Core\Power\BindingCode;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

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

        return (new ForecastWriter($this->voice()))->forecast($this->forecast, $case->conditions);
    }

    protected function describe(array $answer): void
    {
        $forecast = $this->forecast;
        if ($forecast === null) {
            return;
        }
        $voice = $this->voice();
        $this->tell($voice->begin($forecast->answer->word()));
        $this->tell(implode(' > ', $forecast->answer->chain->linkIds()));
        if ($forecast->cutShort !== null) {
            $this->tell($voice->say($forecast->cutShort));
        }
        if ($forecast->totals->minutes === null) {
            return;
        }
        $this->tell($voice->say(Message::of(
            'console.forecast',
            minutes: Amount::duration($forecast->totals->minutes), soc: Amount::percent($forecast->totals->socEnd),
            plug: Amount::kwh($forecast->totals->plugKwh), pack: Amount::kwh($forecast->totals->packKwh),
            mean: Amount::kw($forecast->totals->meanKw()), peak: Amount::kw($forecast->totals->peakKw),
        )));
        if ($forecast->advice->passed !== null) {
            $this->tell($voice->say($forecast->advice->passed->message()));
        }
        if ($this->bill !== null) {
            $this->tell($voice->say(self::cost($this->bill)));
        }
        $this->tabulate(['held by', 'minutes'], array_map(
            static fn (string $code, float $minutes): array => [$voice->say(BindingCode::from($code)->message()), sprintf('%.1f', $minutes)],
            array_keys($forecast->totals->minutesByBinding), $forecast->totals->minutesByBinding,
        ));
        $this->tabulate(['from', 'minutes for 5 %'], array_map(
            static fn (NextFivePercent $m): array => [$voice->amount(Amount::percent($m->soc)), sprintf('%.1f', $m->minutesPer5)],
            $forecast->course->nextFive,
        ));
        foreach ($forecast->answer->cautions() as $caution) {
            $this->tell($voice->say(Message::of('console.caution', caution: $caution)));
        }
    }

    private static function cost(Bill $bill): Message
    {
        [$amount, $member] = [$bill->amount(), $bill->withMembership()];

        return match (true) {
            $amount === null => Message::of('console.cost_unread', parts: Listing::comma($bill->unread())),
            $bill->isAtLeast() => Message::of('console.cost_at_least', cost: Amount::money($amount, $bill->currency()), parts: Listing::comma($bill->unread())),
            $member === null => Message::of('console.cost', cost: Amount::money($amount, $bill->currency())),
            default => Message::of('console.cost_member', cost: Amount::money($amount, $bill->currency()), member: Amount::money($member, $bill->currency())),
        };
    }
}
