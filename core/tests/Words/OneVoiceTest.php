<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Words;

use Harmozon\Core\Chain\Chain;
use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\FactOwner;
use Harmozon\Core\Chain\UnreadFact;
use Harmozon\Core\Equipment\CouplerLook;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use Harmozon\Core\Words\Joiner;
use Harmozon\Core\Words\Language;
use PHPUnit\Framework\TestCase;

/** What the rules say is put into words in one place, and there are words for all of it. */
final class OneVoiceTest extends TestCase
{
    /** Followed too widely by reading the code alone; each of these is said in a test of its own below. */
    private const SAID_BELOW = '/^(?:fact|marks)\./';

    /** Codes of two variable parts, which no reading of the code follows: PhasesTest says each, and finds none left over. */
    private const SAID_BY_THE_BENCH = '/^(?:sign|fault_sign|why_not)\./';

    private const BENCH = '/^Bench\/(?:Fault|Phase)\.php/';

    public function test_no_rule_pieces_a_sentence_together_itself(): void
    {
        $elsewhere = array_filter(Sentences::in(self::core()), static fn (string $place): bool => ! str_starts_with($place, 'Words/'));

        self::assertSame([], array_values($elsewhere));
    }

    public function test_every_message_has_a_pattern_with_just_its_figures(): void
    {
        $calls = MessageCalls::in(self::core());

        self::assertGreaterThan(250, count($calls));
        self::assertSame([], OneVoice::faults(array_values(array_filter($calls, static fn (MessageCall $c): bool => ! self::isSaidBelow($c))), Language::english()));
    }

    public function test_every_pattern_is_used(): void
    {
        $joints = array_column(Joiner::cases(), 'value');

        $patterns = array_filter(Language::english()->patterns, static fn (string $code): bool => preg_match(self::SAID_BY_THE_BENCH, $code) !== 1, ARRAY_FILTER_USE_KEY);

        self::assertSame($joints, OneVoice::unused(MessageCalls::in(self::core()), $patterns));
    }

    public function test_every_fact_is_said_and_names_the_adapter_it_is_of(): void
    {
        $case = Cases::read(Cases::file(adapters: [[]]));
        $chain = new Chain($case->outlet, $case->adapters, $case->vehicle, 0);
        foreach (Fact::cases() as $fact) {
            $unread = $fact->owner() === FactOwner::Adapter ? UnreadFact::ofAdapter($fact, $case->adapters[0], $chain) : UnreadFact::of($fact, $chain);
            $said = Say::it($unread->fact());

            self::assertSame($fact->owner() === FactOwner::Adapter, str_contains($said, $case->adapters[0]->name), $said);
            self::assertNotSame('', Say::it($unread->where()), $fact->value);
        }
    }

    public function test_the_marks_of_every_face_are_said(): void
    {
        foreach (CouplerLook::all() as $marks) {
            self::assertStringEndsWith('.', Say::it($marks->message()));
        }
    }

    /** A rule that cannot fail is no rule: each kind of breach, planted. */
    public function test_breaches_are_found(): void
    {
        $code = <<<'TEXT'
            <?php
            use Harmozon\Core\Words\Message;
            $kw = 'peak '.$peak.' kW';
            $held = "held by the {$cable}";
            $long = sprintf('%d minutes', $minutes);
            $fault = new LogicException("no {$thing} here");
            $path = "{$parent}.{$key}[{$i}]";
            $unknown = Message::of('nothing.like_it');
            $less = Message::of('reach.nose_first', port: $port);
            $more = Message::of('reach.nose_first', port: $port, cable: $cable, colour: $colour);
            $lost = Message::of(codeOf($kw));
            TEXT;
        $sources = Sources::ofText($code);

        self::assertSame(['text.php:3', 'text.php:4', 'text.php:5'], self::sorted(Sentences::in($sources)));
        self::assertSame([
            'text.php:8: no pattern for nothing.like_it',
            'text.php:9: reach.nose_first and its pattern differ in cable',
            'text.php:10: reach.nose_first and its pattern differ in colour',
            'text.php:11: cannot be followed',
        ], OneVoice::faults(MessageCalls::in($sources), Language::english()));
        self::assertContains('outcome.hazard', OneVoice::unused(MessageCalls::in($sources), Language::english()->patterns));
    }

    private static function isSaidBelow(MessageCall $call): bool
    {
        return ($call->codes !== [] && preg_grep(self::SAID_BELOW, $call->codes) === $call->codes) || ($call->codes === [] && preg_match(self::BENCH, $call->where) === 1);
    }

    /**
     * @param  list<string>  $places
     * @return list<string>
     */
    private static function sorted(array $places): array
    {
        sort($places);

        return $places;
    }

    private static function core(): Sources
    {
        return Sources::below(dirname(__DIR__, 2).'/src');
    }
}
