<?php

declare(strict_types=1);

namespace App\Imports;

/** Somebody else has taken the file over, or has put it away: whoever notices stops at once. */
final class ImportTakenOver extends \RuntimeException
{
}
