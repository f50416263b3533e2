<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Harmozon\Core\Words\Languages;
use Illuminate\Auth\AuthManager;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\App;
use Symfony\Component\HttpFoundation\Response;

/** Answers in the language that whoever asks has chosen, else in the one chosen on their device, else in that of their browser. */
final readonly class SpeakLanguage
{
    /** Written by the page, for those who have no account of their own. */
    public const DEVICE_COOKIE = 'harmozon_language';

    public function __construct(private AuthManager $auth)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $chosenHere = $request->cookies->all()[self::DEVICE_COOKIE] ?? null;
        App::setLocale(Languages::best([...(is_string($chosenHere) ? [$chosenHere] : []), ...$request->getLanguages()]));
        if ($this->auth->hasResolvedGuards() && $this->auth->guard()->hasUser()) {
            $known = $this->auth->guard()->user();
            if ($known instanceof User) {
                self::ofPerson($known);
            }
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }

    /** As soon as it is known who asks. */
    public static function ofPerson(User $person): void
    {
        if ($person->language !== null) {
            App::setLocale($person->language);
        }
    }
}
