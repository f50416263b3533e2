<?php

declare(strict_types=1);

namespace Harmozon\Core\Forecast;

use Harmozon\Core\Words\Message;

/** What a driver should know or do. */
final readonly class ForecastAdvice
{
    /**
     * @param  float|null  $goOnAtSoc  from here on the next stop would be quicker; null when it never is, or is not known
     * @param  AdapterPassed|null  $passed  from when on an adapter would be passed that may not hold back; the minutes assume that it is obeyed
     * @param  list<Message>  $notes  what the forecast rests on
     * @param  CabinSaving|null  $saving  what switching the cabin off would save; null where it is off
     */
    public function __construct(public ?float $goOnAtSoc = null, public ?AdapterPassed $passed = null, public array $notes = [], public ?CabinSaving $saving = null)
    {
    }
}
