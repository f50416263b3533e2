<?php

declare(strict_types=1);

namespace Harmozon\Core\Steps;

use Harmozon\Core\Words\Message;

/** One thing to do beside the car. The names are part of the files' contract. */
enum StepCode: string
{
    case Park = 'park';
    case LookAtScreen = 'look_at_screen';
    case SetUpAccess = 'set_up_access';
    case LookAtContacts = 'look_at_contacts';

    case ReleaseAttachedAdapter = 'release_attached_adapter';
    case HandleIntoAdapter = 'handle_into_adapter';
    case AdapterIntoCar = 'adapter_into_car';
    case HandleIntoCar = 'handle_into_car';
    case SwitchOnAdapter = 'switch_on_adapter';
    case StartOnAdapter = 'start_on_adapter';
    case SupplyIntoSocket = 'supply_into_socket';
    case CableIntoPost = 'cable_into_post';
    case CableIntoCar = 'cable_into_car';

    case Authorise = 'authorise';
    case AwaitCurrent = 'await_current';

    case ComparePower = 'compare_power';
    case TakeTemperatures = 'take_temperatures';
    case LockAdapter = 'lock_adapter';
    case UnlockAdapter = 'unlock_adapter';

    case StopSession = 'stop_session';
    case AwaitLatch = 'await_latch';

    case PairFromCar = 'pair_from_car';
    case HandleFromAdapter = 'handle_from_adapter';
    case AdapterFromCar = 'adapter_from_car';
    case AdapterFromHandle = 'adapter_from_handle';
    case SupplyFromSocket = 'supply_from_socket';
    case CableFromCar = 'cable_from_car';
    case CableFromPost = 'cable_from_post';

    case DockAttachedAdapter = 'dock_attached_adapter';
    case Stow = 'stow';
    case MoveAway = 'move_away';

    /** The only step where nothing must be connected. */
    case DoNotConnect = 'do_not_connect';

    /** Two or three words for it. */
    public function title(): Message
    {
        return Message::of('step_title.'.$this->value);
    }
}
