<?php

declare(strict_types=1);

namespace App\Http;

/** Actions that are rate-limited against guessing, each with its own budget: asking for a new password doesn't block signing in. */
enum AuthAction: string
{
    case SignIn = 'sign-in';
    case Forgotten = 'forgotten';
    case Reset = 'reset';
    /** A person's own password, asked for again. */
    case OwnPassword = 'own-password';
}
