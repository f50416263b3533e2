<?php

declare(strict_types=1);

namespace App\Http;

/** Doors at which guessing is slowed down, each with a budget of its own: who asks for a forgotten password can still sign in. */
enum AuthAction: string
{
    case SignIn = 'sign-in';
    case Forgotten = 'forgotten';
    case Reset = 'reset';
    /** A person's own password, asked for again. */
    case OwnPassword = 'own-password';
}
