<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Words;

use Harmozon\Core\Words\Language;

/** Compares what the rules have to say with the patterns there are to say it. */
final readonly class OneVoice
{
    /**
     * @param  list<MessageCall>  $calls
     * @return list<string> faults: a code without a pattern, a figure the pattern wants or leaves out
     */
    public static function faults(array $calls, Language $language): array
    {
        $faults = [];
        foreach ($calls as $call) {
            if ($call->codes === [] || $call->figures === null) {
                $faults[] = "{$call->where}: cannot be followed";
            }
            foreach ($call->figures === null ? [] : $call->codes as $code) {
                $faults = [...$faults, ...self::fault($call, $code, $language->patterns[$code] ?? null)];
            }
        }

        return $faults;
    }

    /**
     * @param  list<MessageCall>  $calls
     * @param  array<string, string>  $patterns
     * @return list<string> codes that nobody says
     */
    public static function unused(array $calls, array $patterns): array
    {
        return array_values(array_diff(array_keys($patterns), ...array_map(static fn (MessageCall $c): array => $c->codes, $calls)));
    }

    /** @return list<string> */
    private static function fault(MessageCall $call, string $code, ?string $pattern): array
    {
        if ($pattern === null) {
            return ["{$call->where}: no pattern for {$code}"];
        }
        $wanted = array_unique(array_map(lcfirst(...), Language::placeholders($pattern)));
        $given = $call->figures ?? [];
        $differ = [...array_diff($wanted, $given), ...array_diff($given, $wanted)];

        return $differ === [] ? [] : ["{$call->where}: {$code} and its pattern differ in ".implode(', ', $differ)];
    }
}
