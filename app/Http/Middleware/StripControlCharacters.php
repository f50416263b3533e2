<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Harmozon\Core\Json\PlainText;
use Illuminate\Foundation\Http\Middleware\TransformsRequest;

/** Removes control characters from what is typed, except in passwords. A text without anything visible becomes null, like an empty one in the framework. */
final class StripControlCharacters extends TransformsRequest
{
    private const AS_TYPED = ['password', 'new_password', 'password_confirmation'];

    protected function transform($key, $value): mixed
    {
        if (! is_string($value) || in_array($key, self::AS_TYPED, true)) {
            return $value;
        }

        return PlainText::isBlank($value) ? null : PlainText::of($value);
    }
}
