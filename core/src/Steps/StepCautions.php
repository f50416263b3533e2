<?php

declare(strict_types=1);

namespace Harmozon\Core\Steps;

use Harmozon\Core\Fit\CautionPlace;
use Harmozon\Core\Fit\Cautions;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Words\Message;

/** An answer's cautions and first checks, by the step where they matter. */
final readonly class StepCautions
{
    /** @param  array<string, list<Message>>  $byPlace  by the name of a CautionPlace */
    private function __construct(private array $byPlace)
    {
    }

    public static function of(ChainAnswer $answer): self
    {
        $byPlace = [];
        foreach (Cautions::placed($answer) as $caution) {
            $byPlace[$caution->place->name][] = $caution->message;
        }
        foreach ($answer->gates() as $gate) {
            if ($gate->isUnknown()) {
                $byPlace[self::placeOf($gate->gate)->name][] = self::toCheck($gate);
            }
        }

        return new self($byPlace);
    }

    /** @return list<Message> */
    public function at(CautionPlace $place): array
    {
        return $this->byPlace[$place->name] ?? [];
    }

    /** The step before which an unread fact has to be checked. */
    private static function placeOf(GateName $gate): CautionPlace
    {
        return match ($gate) {
            GateName::Reach => CautionPlace::Park,
            GateName::Access => CautionPlace::Access,
            default => CautionPlace::Join,
        };
    }

    private static function toCheck(GateResult $gate): Message
    {
        $check = $gate->check();

        return $check === null ? $gate->reason() : Message::of('step.check_first', reason: $gate->reason(), check: $check);
    }
}
