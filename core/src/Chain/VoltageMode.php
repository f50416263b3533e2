<?php

declare(strict_types=1);

namespace Harmozon\Core\Chain;

/** How the battery's voltage and the voltage at the plug relate in a session. */
enum VoltageMode: string
{
    /** The plug sees the pack's own voltage. */
    case Native = 'native';

    /** The pack is switched to two halves in parallel: half the voltage. */
    case SplitPack = 'split_pack';

    /** The car lifts a lower plug voltage to the pack's. */
    case StepUp = 'step_up';

    /** AC: the supply's volts, per phase. */
    case Mains = 'mains';
}
