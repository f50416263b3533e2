<?php

declare(strict_types=1);

namespace Harmozon\Core\Steps;

use Harmozon\Core\Equipment\AccessKind;
use Harmozon\Core\Equipment\Bay;
use Harmozon\Core\Equipment\Stall;
use Harmozon\Core\Fit\CautionPlace;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\GateName;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

/** Before anything is plugged in. */
final readonly class ArrivalSteps
{
    public function __construct(private ChainAnswer $answer, private StepCautions $cautions)
    {
    }

    /** @return list<Step> */
    public function steps(): array
    {
        $outlet = $this->answer->chain->outlet;

        return [
            $this->park(),
            ...($outlet->coupler->isSocket() ? [] : [new Step(
                StepPhase::Arrive, StepCode::LookAtScreen, Message::of('step.look_at_screen'), Message::of('step_sign.offers_to_start'), $this->cautions->at(CautionPlace::Screen), Message::of('step_if_not.another_stall'),
            )]),
            ...($outlet->site->access->kind === AccessKind::Open ? [] : [$this->setUp()]),
            new Step(StepPhase::Arrive, StepCode::LookAtContacts, Message::of('step.look_at_contacts'), Message::of('step_sign.dry_and_clean'), $this->cautions->at(CautionPlace::Contacts), Message::of('step_if_not.out_of_use')),
        ];
    }

    private function park(): Step
    {
        $reach = $this->answer->gate(GateName::Reach);
        $kept = array_map(static fn (Stall $s): string => $s->label, $this->answer->chain->outlet->stallsOf(Bay::Accessible));
        $isShared = $this->answer->chain->outlet->feed->cabinet?->policy !== null;

        return new Step(
            StepPhase::Arrive,
            StepCode::Park,
            $reach->isUnknown() || $reach->cautions() !== [] ? Message::of('step.park') : Message::of('step.park_reach', reach: $reach->reason()),
            cautions: [...$this->cautions->at(CautionPlace::Park), ...($isShared ? [Message::of('step.park_shared')] : []), ...($kept === [] ? [] : [Message::of('step.park_accessible', stalls: Listing::and($kept), n: Amount::count(count($kept)))])],
        );
    }

    /** What must be ready before taking the cable. */
    private function setUp(): Step
    {
        $access = $this->answer->gate(GateName::Access);

        return new Step(
            StepPhase::Arrive,
            StepCode::SetUpAccess,
            $access->isUnknown() || $access->cautions() !== [] ? Message::of('step.set_up_access') : Message::of('step.set_up_access_ready', access: $access->reason()),
            cautions: $this->cautions->at(CautionPlace::Access),
        );
    }
}
