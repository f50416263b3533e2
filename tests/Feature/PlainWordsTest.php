<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Tests\EveryWord;

/** What a person reads is said in the field's own terms, the same everywhere. */
#[Group('once')]
final class PlainWordsTest extends TestCase
{
    /** Terms that are not ours, with what is said instead. */
    private const INSTEAD = [
        '/held back|pace is set|peak is set/i' => 'limited by',
        '/\bmates?\b|no joint/i' => "fits, doesn't fit",
        '/\bspeaks?\b|\blanguages?\b/i' => 'uses a protocol',
        '/(?<!rating )(?<!data )\bplates?\b/i' => 'rating; the rating plate is the object',
        '/\btake care\b/i' => 'caution',
        '/\bfor good\b/i' => 'continuous; permanently',
        '/step-up(?! converter)(?! step)/i' => 'step-up converter',
        '/\b(?:the|its|a|this|cold) pack\b|\bpack of\b/i' => 'battery',
        '/\baround it\b|\bthe air\b/i' => 'ambient temperature',
        '/heat figure|allowed rise/i' => 'thermal load',
        '/\banew\b|held against|hold .{0,20}against|the other time/i' => 're-check, compared with, in the other session',
        '/sticker/i' => 'advertised power',
        '/put aside|take back|taken back|\bforget\b(?! it\?)/i' => 'delete, undo',
        '/\bkeepers?\b|send away|\breaders?\b/i' => 'owner, remove, viewer',
        '/\bhabits\b|made-up garage\b(?!:)/i' => 'regional settings, demo garage',
        '/settling in|rise after the start/i' => 'AC start-up step, ramp-up',
        '/\boutlets?\b/i' => 'charger, connector or socket',
        '/\bown battery of\b/i' => "A6's own battery",
        '/\bwhoever\b/i' => 'the site operator; if you',
        '/\bparting\b|\bpart and\b|stop and part/i' => 'disconnect',
        '/\bbeside\b/i' => 'next to, compared with',
        '/\bcomes? of\b|\bcame of\b|\bstands?\b(?! so|-in)/i' => 'is; because of',
        '/\bcannot be accepted\b|\bone may\b/i' => 'what happened, and what to do',
    ];

    /** Read by developers, or by a machine that looks for words; and what is about languages that people speak. */
    private const NOT_READ = '/^(?:bench|found_by)\.|^you\.language/';

    public function test_every_message_uses_the_terms_of_the_field(): void
    {
        $faults = [];
        $read = 0;
        foreach (EveryWord::rooms() as $patterns) {
            foreach ($patterns as $code => $pattern) {
                if (preg_match(self::NOT_READ, $code) === 0) {
                    $read++;
                    $faults = [...$faults, ...self::faults($code, $pattern)];
                }
            }
        }
        self::assertGreaterThan(2_000, $read);
        self::assertSame([], $faults);
    }

    public function test_the_page_of_all_words_is_that_of_today(): void
    {
        $page = (string) file_get_contents(dirname(__DIR__, 2).'/docs/words.html');
        $missing = [];
        foreach (EveryWord::rooms() as $patterns) {
            foreach ($patterns as $code => $pattern) {
                $told = str_contains($pattern, '{') ? "<dt>{$code}</dt>" : "<dt>{$code}</dt>\n<dd>".htmlspecialchars($pattern, ENT_QUOTES | ENT_SUBSTITUTE).'</dd>';
                $missing = [...$missing, ...(str_contains($page, $told) ? [] : [$code])];
            }
        }
        self::assertSame([], $missing, 'php build/words.php >docs/words.html prints it anew');
    }

    /** A rule that cannot fail is no rule. */
    public function test_old_terms_are_found(): void
    {
        self::assertSame(['x: "held back" (limited by)'], self::faults('x', "Held back by the adapter's amps, held back again."));
        self::assertSame([], self::faults('x', '{outlet}: limited by the {plate}.'));
        self::assertCount(count(self::INSTEAD), array_filter(array_keys(self::INSTEAD), static fn (string $term): bool => preg_match($term, self::OLD) === 1));
    }

    private const OLD = "Held back: no joint. It speaks another language, its plate says take care, 300 A for good. The car's step-up, the pack of Brindle, the air around it, heat figure, judged anew, sticker, put aside, keeper, habits, settling in, outlet, the own battery of A6, whoever, parting, beside it, it stands, one may.";

    /** @return list<string> */
    private static function faults(string $code, string $pattern): array
    {
        $text = (string) preg_replace('/\{\s*\w+\s*(?:,\s*\w+\s*)?(?=[,}])/', '', $pattern);
        $faults = [];
        foreach (self::INSTEAD as $term => $instead) {
            if (preg_match($term, $text, $found) === 1) {
                $faults[] = "{$code}: \"".mb_strtolower($found[0])."\" ({$instead})";
            }
        }

        return $faults;
    }
}
