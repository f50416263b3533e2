<?php

declare(strict_types=1);

namespace App\Imports;

/** Another process has taken the file over, or it was removed: this one stops at once. */
final class ImportTakenOver extends \RuntimeException
{
}
