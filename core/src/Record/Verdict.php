<?php

declare(strict_types=1);

namespace Harmozon\Core\Record;

/** The word for a session. */
enum Verdict: string
{
    case Passed = 'passed';
    case PassedIndicative = 'passed_indicative';
    case Caution = 'caution';
    case Failed = 'failed';
    case Incomplete = 'incomplete';

    public function words(): string
    {
        return match ($this) {
            self::Passed => 'Stayed within its plates',
            self::PassedIndicative => 'Within its plates, by estimate',
            self::Caution => 'Take care',
            self::Failed => 'Went over a plate',
            self::Incomplete => 'Not enough to judge',
        };
    }
}
