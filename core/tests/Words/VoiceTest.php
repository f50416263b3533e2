<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Words;

use Harmozon\Core\Tests\Say;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Language;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Unit;
use Harmozon\Core\Words\Units;
use Harmozon\Core\Words\Voice;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class VoiceTest extends TestCase
{
    #[DataProvider('amounts')]
    public function test_an_amount_is_told_as_a_plate_would(Amount $amount, string $metric, ?string $us = null): void
    {
        self::assertSame($metric, Say::voice()->amount($amount));
        self::assertSame($us ?? $metric, (new Voice(Language::english(), Units::Us))->amount($amount));
    }

    /** @return iterable<string, array{0: Amount, 1: string, 2?: string}> US: °C × 9/5 + 32, K × 9/5, metres / 0.3048 */
    public static function amounts(): iterable
    {
        yield 'volts are whole' => [Amount::volts(399.6), '400 V'];
        yield 'small amps keep a decimal' => [Amount::amps(99.96), '100 A'];
        yield 'smaller ones show it' => [Amount::amps(12.34), '12.3 A'];
        yield 'great amps do not' => [Amount::amps(312.4), '312 A'];
        yield 'power likewise' => [Amount::kw(7.25), '7.3 kW'];
        yield 'great power' => [Amount::kw(150.4), '150 kW'];
        yield 'energy always shows its decimal' => [Amount::kwh(44.0), '44.0 kWh'];
        yield 'charge' => [Amount::percent(61.5), '62 %'];
        yield 'short minutes' => [Amount::minutes(9.94), '9.9 min'];
        yield 'minutes' => [Amount::minutes(10.4), '10 min'];
        yield 'a duration below two hours' => [Amount::duration(119.4), '119 min'];
        yield 'a duration that rounds to two hours' => [Amount::duration(119.5), '2 h 0 min'];
        yield 'a long duration' => [Amount::duration(252.6), '4 h 13 min'];
        yield 'heat' => [Amount::celsius(40.0), '40 °C', '104 °F'];
        yield 'frost' => [Amount::celsius(-40.0), '-40 °C', '-40 °F'];
        yield 'a rise is no temperature' => [Amount::asGiven(10.0, Unit::Kelvin), '10 K', '18 °F'];
        yield 'lengths' => [Amount::metres(3.048), '3 m', '10 ft'];
        yield 'shares to hundredths' => [Amount::share(0.9), '0.90'];
        yield 'as it was typed' => [Amount::asGiven(12.3456, Unit::KiloWatts), '12.3456 kW'];
        yield 'a warmth to tenths' => [Amount::celsius(41.56), '41.6 °C', '106.8 °F'];
        yield 'a rise to tenths' => [Amount::kelvin(3.14), '3.1 K', '5.7 °F'];
        yield 'a length to tenths' => [Amount::metres(4.26), '4.3 m', '14 ft'];
        yield 'a share in percent' => [Amount::ofHundred(0.956), '96 %'];
        yield 'a share nobody knows' => [Amount::ofHundred(null), '? %'];
        yield 'a great figure as it was typed' => [Amount::asGiven(8_640_000.0, Unit::Minutes), '8640000 min'];
        yield 'six digits that count' => [Amount::asGiven(1234.5678), '1234.57'];
        yield 'digits before the sign all count' => [Amount::asGiven(1_234_567.8), '1234568'];
        yield 'a tiny figure' => [Amount::asGiven(0.00001234567), '0.0000123457'];
        yield 'nought' => [Amount::asGiven(0.0), '0'];
        yield 'below nought' => [Amount::asGiven(-60.25, Unit::Celsius), '-60.25 °C', '-76.45 °F'];
        yield 'amps just below a hundred' => [Amount::amps(99.94), '99.9 A'];
        yield 'a hundred amps and a bit' => [Amount::amps(100.4), '100 A'];
        yield 'ten minutes and a bit' => [Amount::minutes(10.04), '10 min'];
        yield 'volts that nobody knows are not nought' => [Amount::volts(null), '? V'];
        yield 'nor is a warmth' => [Amount::kelvin(null), '? K', '? °F'];
        yield 'nor a duration' => [Amount::duration(null), '? min'];
        yield 'money is never a float' => [Amount::money('1234567.10', 'USD'), '1234567.10 USD'];
        yield 'things' => [Amount::count(3), '3'];
    }

    public function test_a_figure_is_written_as_it_is_where_somebody_reads_it(): void
    {
        $said = static fn (string $locale): array => array_map((new Voice(Language::english()->in($locale)))->amount(...), [Amount::kw(7.25), Amount::volts(399.6), Amount::money('12.50', 'EUR'), Amount::asGiven(0.92)]);

        self::assertSame(['7.3 kW', '400 V', '12.50 EUR', '0.92'], $said('en-GB'));
        self::assertSame(['7,3 kW', '400 V', '12,50 EUR', '0,92'], $said('en-NL'));
        $rows = Language::english()->with(['test.rows' => '{rows, number} rows']);
        self::assertSame(['1,200 rows', '1.200 rows'], array_map(static fn (string $l): string => (new Voice($rows->in($l)))->say(Message::of('test.rows', rows: Amount::count(1200))), ['en-US', 'en-NL']));
    }

    public function test_a_count_bends_the_sentence_around_it(): void
    {
        $voice = new Voice(Language::english()->with(['test.rows' => '{rows, plural, one {# row} other {# rows}} left out']));

        self::assertSame('1 row left out', $voice->say(Message::of('test.rows', rows: Amount::count(1))));
        self::assertSame('0 rows left out', $voice->say(Message::of('test.rows', rows: Amount::count(0))));
        self::assertSame('1,200 rows left out', $voice->say(Message::of('test.rows', rows: Amount::count(1200))));
    }

    public function test_a_placeholder_with_a_capital_begins_a_sentence(): void
    {
        $voice = new Voice(Language::english()->with(['test.held' => '{Link} holds it back; without {link}, more.']));

        self::assertSame("The station's cable holds it back; without the station's cable, more.", $voice->say(Message::of('test.held', link: Message::of('link.cable'))));
        self::assertSame("The station's cable", $voice->begin(Message::of('link.cable')));
        self::assertSame('Ökonom', (new Voice(Language::english()->with(['test.name' => '{name}'])))->begin(Message::of('test.name', name: 'ökonom')));
    }

    public function test_several_things_are_joined_by_their_joint(): void
    {
        $voice = new Voice(Language::english()->with(['test.all' => '{all}']));
        $said = static fn (Listing $all): string => $voice->say(Message::of('test.all', all: $all));

        self::assertSame('', $said(Listing::and([])));
        self::assertSame('A1', $said(Listing::and(['A1'])));
        self::assertSame('A1, A2 and A3', $said(Listing::and(['A1', 'A2', 'A3'])));
        self::assertSame('A1, A2, A3 and A4', $said(Listing::and(['A1', 'A2', 'A3', 'A4'])));
        self::assertSame('400 V, 300 A', $said(Listing::comma([Amount::volts(400), Amount::amps(300)])));
        self::assertSame('a; b', $said(Listing::semicolon(['a', 'b'])));
        self::assertSame('a · b', $said(Listing::dotted(['a', 'b'])));
        self::assertSame("charger the station's cable", $voice->paragraph([Message::of('link_kind.outlet'), Message::of('link.cable')]));
    }

    public function test_what_a_person_typed_is_never_a_pattern_and_never_breaks_one(): void
    {
        $named = static fn (string $name): string => Say::it(Message::of('link.pack', vehicle: $name));

        self::assertSame("{vehicle}'s battery", $named('{vehicle}'));
        self::assertSame("Mum's '{' # car's battery", $named("Mum's '{' # car"));
        self::assertSame("<b>'s battery", $named('<b>'));
        self::assertStringStartsWith('a', $named("a\xFF"));
    }

    public function test_a_message_without_a_pattern_or_a_figure_is_our_own_fault(): void
    {
        foreach ([Message::of('nothing.like_it'), Message::of('link.pack')] as $message) {
            try {
                Say::it($message);
                self::fail('it was said');
            } catch (\LogicException $e) {
                self::assertStringContainsString($message->code, $e->getMessage());
            }
        }
    }

    public function test_a_message_can_be_kept_and_said_later(): void
    {
        $message = Message::of(
            'finding.over', link: Message::of('link.inlet', vehicle: 'Brindle'), peak: Amount::amps(512.4),
            bill: Amount::money('9.30', 'EUR'), none: Amount::minutes(null), all: Listing::dotted(['A1', Amount::celsius(41.5), Message::of('link.cable')]),
        );
        $kept = json_decode((string) json_encode($message->toArray()), true);

        self::assertEquals($message, Message::fromArray($kept));
        self::assertSame($message->key(), Message::fromArray($kept)?->key());
        self::assertNotSame($message->key(), Message::of('finding.over')->key());
    }

    #[DataProvider('junk')]
    public function test_anything_else_is_no_message(mixed $kept): void
    {
        self::assertNull(Message::fromArray($kept));
    }

    /** @return iterable<string, array{mixed}> */
    public static function junk(): iterable
    {
        yield 'a sentence of an older version' => ['The cable was warm.'];
        yield 'nothing' => [null];
        yield 'no figures' => [['code' => 'link.cable']];
        yield 'no code' => [['figures' => []]];
        yield 'a number for a figure' => [['code' => 'link.pack', 'figures' => ['vehicle' => 3]]];
        yield 'an unknown unit' => [['code' => 'x', 'figures' => ['a' => ['value' => 1.0, 'unit' => 'furlong']]]];
        yield 'no value' => [['code' => 'x', 'figures' => ['a' => ['unit' => 'V']]]];
        yield 'an unknown joint' => [['code' => 'x', 'figures' => ['a' => ['joiner' => 'list.or', 'items' => []]]]];
        yield 'a listing in a listing' => [['code' => 'x', 'figures' => ['a' => ['joiner' => 'list.and', 'items' => [['joiner' => 'list.and', 'items' => []]]]]]];
        yield 'broken inside' => [['code' => 'x', 'figures' => ['a' => ['code' => 'y', 'figures' => ['b' => false]]]]];
    }
}
