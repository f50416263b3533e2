<?php

declare(strict_types=1);

namespace Harmozon\Core\Drills;

use Harmozon\Core\Drills\Kinds\AboutHowMuch;
use Harmozon\Core\Drills\Kinds\AdapterEnough;
use Harmozon\Core\Drills\Kinds\BoostLeft;
use Harmozon\Core\Drills\Kinds\ConnectingOrder;
use Harmozon\Core\Drills\Kinds\FirstRemedy;
use Harmozon\Core\Drills\Kinds\PlateToRead;
use Harmozon\Core\Drills\Kinds\ReportCause;
use Harmozon\Core\Drills\Kinds\StallToTake;
use Harmozon\Core\Drills\Kinds\ThroughWhat;
use Harmozon\Core\Drills\Kinds\WhatHappened;
use Harmozon\Core\Drills\Kinds\WhatLimits;
use Harmozon\Core\Drills\Kinds\WillItCharge;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Fit\GateResult;
use Harmozon\Core\Fit\Outcome;
use Harmozon\Core\Fit\Result;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Term;

/** What a drill practises; mistakes are counted by it. In the order in which a newcomer meets them. */
enum DrillKind: string implements Term
{
    case WillItCharge = 'will_it_charge';
    case ThroughWhat = 'through_what';
    case ConnectingOrder = 'connecting_order';
    case AboutHowMuch = 'about_how_much';
    case WhatLimits = 'what_limits';
    case StallToTake = 'stall_to_take';
    case WhatHappened = 'what_happened';
    case FirstRemedy = 'first_remedy';
    case AdapterEnough = 'adapter_enough';
    case PlateToRead = 'plate_to_read';
    case BoostLeft = 'boost_left';
    case ReportCause = 'report_cause';

    public function rule(): DrillRule
    {
        return match ($this) {
            self::WillItCharge => new WillItCharge,
            self::ThroughWhat => new ThroughWhat,
            self::ConnectingOrder => new ConnectingOrder,
            self::AboutHowMuch => new AboutHowMuch,
            self::WhatLimits => new WhatLimits,
            self::StallToTake => new StallToTake,
            self::WhatHappened => new WhatHappened,
            self::FirstRemedy => new FirstRemedy,
            self::AdapterEnough => new AdapterEnough,
            self::PlateToRead => new PlateToRead,
            self::BoostLeft => new BoostLeft,
            self::ReportCause => new ReportCause,
        };
    }

    /** Whether it may be the first of its kind. Drills begin with the same plug where nothing happens: no adapter, and signalling or voltage fails. */
    public function isForNewcomer(Drill $drill): bool
    {
        if ($this !== self::WillItCharge) {
            return true;
        }
        $answer = $drill->answer;
        $failing = array_filter($answer?->gates() ?? [], static fn (GateResult $g): bool => $g->result() === Result::Fail && in_array($g->gate, [GateName::Signalling, GateName::Voltage], true));

        return $answer?->outcome === Outcome::WontCharge && $answer->chain->adapters === [] && $failing !== [];
    }

    public function message(): Message
    {
        return Message::of('drill_kind.'.$this->value);
    }
}
