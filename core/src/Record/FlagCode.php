<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** What looks wrong with a reading. A flagged reading is kept, and never silently mended. */
enum FlagCode: string
{
    case PowerMismatch = 'power_mismatch';
    case SocFell = 'soc_fell';
    case TimeReversed = 'time_reversed';
    case AbovePossible = 'above_possible';
    case TemperatureRange = 'temperature_range';
    case Jump = 'jump';
}
