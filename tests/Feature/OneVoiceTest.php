<?php

declare(strict_types=1);

namespace Tests\Feature;

use Harmozon\Core\Tests\Words\MessageCall;
use Harmozon\Core\Tests\Words\MessageCalls;
use Harmozon\Core\Tests\Words\OneVoice;
use Harmozon\Core\Tests\Words\Sentences;
use Harmozon\Core\Tests\Words\Sources;
use Harmozon\Core\Words\Language;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** The application speaks with the same voice as the core, and has words of its own for the rest. */
#[Group('once')]
final class OneVoiceTest extends TestCase
{
    public function test_nothing_pieces_a_sentence_together_itself(): void
    {
        self::assertSame([], Sentences::in(Sources::below(self::root('app'))));
    }

    public function test_every_message_has_a_pattern_with_just_its_figures_and_every_pattern_is_used(): void
    {
        /** @var array<string, string> $patterns */
        $patterns = require self::root('app/Words/en.php');
        $calls = [...MessageCalls::in(Sources::below(self::root('app'))), ...MessageCalls::in(Sources::ofText((string) file_get_contents(self::root('bootstrap/app.php')))), ...self::callsOfViews()];

        self::assertGreaterThan(20, count($calls));
        self::assertSame([], OneVoice::faults($calls, Language::english()->with($patterns)));
        self::assertSame([], OneVoice::unused($calls, $patterns));
        self::assertSame([], array_keys(array_intersect_key($patterns, Language::english()->patterns)));
    }

    /** @return list<MessageCall> */
    private static function callsOfViews(): array
    {
        $calls = [];
        foreach (glob(self::root('resources/views/*.blade.php')) ?: [] as $view) {
            preg_match_all('/Message::of\(.*?\)/', (string) file_get_contents($view), $found);
            foreach ($found[0] as $call) {
                $calls = [...$calls, ...MessageCalls::in(Sources::ofText("<?php use Harmozon\\Core\\Words\\Message; {$call};"))];
            }
        }

        return $calls;
    }

    private static function root(string $path): string
    {
        return dirname(__DIR__, 2).'/'.$path;
    }
}
