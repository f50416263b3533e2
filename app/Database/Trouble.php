<?php

declare(strict_types=1);

namespace App\Database;

/** What keeps a database from doing what it was asked. */
enum Trouble
{
    /** Somebody else writes; soon it will do. */
    case Busy;

    case ReadOnly;

    /** No room on its disk */
    case Full;

    case Broken;

    /** Not to be reached, or not there. */
    case Gone;

    /** Without the tables of this version */
    case NotSetUp;
}
