<?php

declare(strict_types=1);

namespace App\Moving;

/** Whether a garage took the settings of an imported document: only an empty garage does. */
enum SettingsMoved: string
{
    case Same = 'same';
    case Taken = 'taken';
    case Left = 'left';
}
