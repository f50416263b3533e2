<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Equipment\Adapter;

/** An owned active adapter that reaches more once its own battery is charged, which costs nothing. */
final readonly class Charged
{
    /** @param  list<Reached>  $newly */
    private function __construct(public Adapter $adapter, public array $newly)
    {
    }

    /**
     * @param  Kit  $kit  what is owned, as it is now
     * @return list<self>
     */
    public static function of(KitQuestion $question, Kit $kit): array
    {
        $charged = [];
        foreach ($question->owned as $adapter) {
            if ($adapter->isActive() && $adapter->handling->batteryOk !== true) {
                $newly = self::newly($question, $adapter->charged(), $kit);
                if ($newly !== []) {
                    $charged[] = new self($adapter, $newly);
                }
            }
        }

        return $charged;
    }

    /** Whether it reaches everything that a purchase would newly reach. */
    public function doesAllOf(Purchase $purchase): bool
    {
        $reached = array_map(self::key(...), $this->newly);

        return $purchase->newly !== [] && array_diff(array_map(self::key(...), $purchase->newly), $reached) === [];
    }

    private static function key(Reached $reached): string
    {
        return "{$reached->pair->vehicle->id}\n{$reached->pair->at->outlet->id}";
    }

    /** @return list<Reached> */
    private static function newly(KitQuestion $question, Adapter $adapter, Kit $kit): array
    {
        $table = PairTable::of($question->withPieces([$adapter]));
        $newly = [];
        foreach ($table->pairs as $number => $pair) {
            $way = $pair->best(1);
            if ($way !== null && $kit->way($number) === null) {
                $newly[] = new Reached($pair, $way);
            }
        }

        return $newly;
    }
}
