<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Closure;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Foundation\Http\FormRequest;

final class HabitsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'units' => ['required_without:locale', 'string', 'in:metric,us'],
            'locale' => ['string', self::known(...)],
        ];
    }

    /** @return array<string, string> by column, those that are given */
    public function habits(): array
    {
        return array_filter(['units' => $this->string('units')->toString(), 'locale' => $this->string('locale')->toString()], static fn (string $v): bool => $v !== '');
    }

    /** English, as it is written somewhere that ICU knows. */
    private static function known(string $field, mixed $locale, Closure $fail): void
    {
        if (! is_string($locale) || preg_match('/^en-[A-Z0-9]{2,3}$/', $locale) !== 1 || ! in_array(str_replace('-', '_', $locale), (array) \ResourceBundle::getLocales(''), true)) {
            $fail(app(Voice::class)->say(Message::of('app.no_such_locale')));
        }
    }
}
