<?php

declare(strict_types=1);

namespace App\Moving;

/** What became of the settings in a garage's document: only an empty garage takes them. */
enum SettingsMoved: string
{
    case Same = 'same';
    case Taken = 'taken';
    case Left = 'left';
}
