<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Ocpi;

use Harmozon\Core\Ocpi\FigureChange;
use Harmozon\Core\Ocpi\FileOutlet;
use Harmozon\Core\Ocpi\FilePlace;
use Harmozon\Core\Ocpi\KnownOutlet;
use Harmozon\Core\Ocpi\OutletChange;
use Harmozon\Core\Ocpi\PlaceDifference;
use Harmozon\Core\Ocpi\PlateMerge;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the same network's file changes the second time. */
final class OcpiDifferenceTest extends TestCase
{
    /** @param  list<array{string, mixed, mixed, bool}>  $figures  path, here, file, kept */
    #[DataProvider('merges')]
    public function test_the_file_changes_what_it_changed_and_nothing_that_somebody_wrote(array $here, array $last, array $file, array $merged, array $figures): void
    {
        [$got, $told] = PlateMerge::of($here, $last, $file);

        self::assertEquals($merged, $got);
        self::assertEquals($figures, array_map(static fn (FigureChange $f): array => [$f->path, $f->here, $f->file, $f->isKept], $told));
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, array<string, mixed>, array<string, mixed>, list<array{string, mixed, mixed, bool}>}> */
    public static function merges(): iterable
    {
        yield 'nothing changed' => [['max_kw' => 150, 'min_v' => 200], ['max_kw' => 150.0], ['max_kw' => 150.0], ['max_kw' => 150, 'min_v' => 200], []];
        yield 'the same figure written in another way' => [['max_kw' => 150], ['max_kw' => 150], ['max_kw' => 150.0], ['max_kw' => 150], []];
        yield 'a figure that the file does not have at all' => [['max_kw' => 150, 'cable' => ['length_m' => 4]], ['max_kw' => 150], [], ['max_kw' => null, 'cable' => ['length_m' => 4]], [['max_kw', 150, null, false]]];
        yield 'a part of whose figures each file has others' => [['supply' => ['volts' => 230]], ['supply' => ['volts' => 230, 'phases' => null]], ['supply' => ['volts' => 230.0, 'amps' => 16]], ['supply' => ['volts' => 230, 'amps' => 16]], [['supply.amps', null, 16, false]]];
        yield 'no stalls on either side' => [['stalls' => []], ['stalls' => []], ['stalls' => []], ['stalls' => []], []];
        yield 'stalls that only somebody here has told apart' => [['stalls' => [['label' => '1']]], [], [], ['stalls' => [['label' => '1']]], []];
        yield 'the file changed a figure' => [['max_kw' => 150], ['max_kw' => 150], ['max_kw' => 300], ['max_kw' => 300], [['max_kw', 150, 300, false]]];
        yield 'somebody changed it, the file did not' => [['max_kw' => 140], ['max_kw' => 150], ['max_kw' => 150], ['max_kw' => 140], []];
        yield 'both changed it: what was written here stays, and is told' => [['max_kw' => 140], ['max_kw' => 150], ['max_kw' => 300], ['max_kw' => 140], [['max_kw', 140, 300, true]]];
        yield 'both came to the same' => [['max_kw' => 300], ['max_kw' => 150], ['max_kw' => 300], ['max_kw' => 300], []];
        yield 'the file does not say any more' => [['max_kw' => 150], ['max_kw' => 150], ['max_kw' => null], ['max_kw' => null], [['max_kw', 150, null, false]]];
        yield 'the file says for the first time' => [['max_kw' => null], [], ['max_kw' => 50], ['max_kw' => 50], [['max_kw', null, 50, false]]];
        yield 'figures of a part apart from each other' => [
            ['supply' => ['volts' => 230, 'amps' => 25, 'phases' => 3]], ['supply' => ['volts' => 230, 'amps' => 32, 'phases' => 3]], ['supply' => ['volts' => 240, 'amps' => 16, 'phases' => 3]],
            ['supply' => ['volts' => 240, 'amps' => 25, 'phases' => 3]], [['supply.volts', 230, 240, false], ['supply.amps', 25, 16, true]],
        ];
        yield 'a part that somebody filled in stays when the file never said more' => [['cable' => ['length_m' => 4, 'cooled' => null]], ['cable' => ['length_m' => null, 'cooled' => null]], ['cable' => ['length_m' => null, 'cooled' => null]], ['cable' => ['length_m' => 4, 'cooled' => null]], []];
        yield 'a part that somebody took away stays away' => [['cable' => null], ['cable' => ['length_m' => null]], ['cable' => ['length_m' => 5]], ['cable' => null], [['cable', null, ['length_m' => 5], true]]];
        yield 'a part that is new in the file' => [['cable' => null], ['cable' => null], ['cable' => ['length_m' => 5]], ['cable' => ['length_m' => 5]], [['cable', null, ['length_m' => 5], false]]];
        yield 'a list is one figure' => [['signalling' => ['plc']], ['signalling' => []], ['signalling' => ['pwm']], ['signalling' => ['plc']], [['signalling', ['plc'], ['pwm'], true]]];
    }

    public function test_stalls_come_go_and_change_each_for_itself(): void
    {
        $here = [self::stall('1', note: 'latch sticks'), self::stall('2'), self::stall('3'), ['label' => 'by the bins']];
        $last = [self::stall('1'), self::stall('2'), self::stall('3'), self::stall('9')];
        $file = [self::stall('1', note: 'out of order'), self::stall('2', note: 'out of order'), self::stall('9'), self::stall('4')];
        [$merged, $told] = PlateMerge::of(['stalls' => $here], ['stalls' => $last], ['stalls' => $file]);

        // What somebody wrote on stall 1 stays; 3 is gone; the one nobody but us knows stays; 9 was crossed out here; 4 is new.
        self::assertEquals([self::stall('1', note: 'latch sticks'), self::stall('2', note: 'out of order'), ['label' => 'by the bins'], self::stall('4')], $merged['stalls']);
        self::assertSame(
            [['stalls.1.fault', true], ['stalls.2.fault', false], ['stalls.3', false], ['stalls.4', false]],
            array_map(static fn (FigureChange $f): array => [$f->path, $f->isKept], $told),
        );
    }

    public function test_the_same_file_again_changes_nothing(): void
    {
        $outlets = [self::outlet(150, '1', '2'), self::outlet(50, '3')];
        $known = [self::known('a', $outlets[0]), self::known('b', $outlets[1])];

        self::assertSame([['same', 'a'], ['same', 'b']], self::told(self::place($outlets), $known));
    }

    public function test_an_outlet_is_known_again_by_the_stalls_it_shares(): void
    {
        $known = [self::known('a', self::outlet(150, '1', '2', '3')), self::known('b', self::outlet(50, '4')), self::known('c', self::outlet(22, '5'))];
        $file = self::place([self::outlet(300, '1'), self::outlet(175, '2', '3'), self::outlet(50, '4', '6')]);

        // Two of a's three stalls bear another plate now: they are a; the third is a new outlet. c is not named any more.
        self::assertSame([['new', null], ['changed', 'a'], ['changed', 'b'], ['gone', 'c']], self::told($file, $known));
    }

    public function test_of_two_that_share_as_many_the_first_is_taken_and_none_twice(): void
    {
        $known = [self::known('a', self::outlet(150, '1', '2'))];

        self::assertSame([['same', 'a'], ['new', null]], self::told(self::place([self::outlet(150, '1'), self::outlet(300, '2')]), [self::known('a', self::outlet(150, '1'))]));
        self::assertSame([['changed', 'a'], ['new', null]], self::told(self::place([self::outlet(150, '1'), self::outlet(300, '2')]), $known));
    }

    public function test_what_somebody_put_aside_stays_aside_and_is_never_gone(): void
    {
        $aside = new KnownOutlet('a', 'ccs1', self::outlet(150, '1')->spec, self::outlet(150, '1'), isAside: true);

        self::assertSame([['aside', 'a']], self::told(self::place([self::outlet(150, '1')]), [$aside]));
        self::assertSame([], self::told(self::place([]), [$aside]));
    }

    public function test_an_outlet_that_never_came_from_a_file_is_left_alone_unless_it_is_meant(): void
    {
        $own = new KnownOutlet('01OWN', 'Ours', ['max_kw' => 11], null);
        $numbered = new KnownOutlet('01NUM', 'Ours too', ['max_kw' => 22, 'stalls' => [['label' => 'left'], ['label' => 'right']]], null);

        self::assertSame([], self::told(self::place([]), [$own]));
        self::assertSame([['same', '01OWN']], self::told(self::place([self::outlet(7.0, '01OWN')]), [$own]));
        self::assertSame([['same', '01NUM']], self::told(self::place([self::outlet(22.0, '01NUM-1', '01NUM-2')]), [$numbered]));
        self::assertSame([['new', null]], self::told(self::place([self::outlet(22.0, '01NUM-3')]), [$numbered]));
        self::assertSame([['new', null]], self::told(self::place([self::outlet(22.0, '01OTHER')]), [$own]));
    }

    /** @return array<string, string|null> */
    private static function stall(string $uid, ?string $note = null): array
    {
        return ['label' => $uid, 'evse_id' => "XX*{$uid}", 'uid' => $uid, 'connector' => '1', 'fault' => $note];
    }

    private static function outlet(float $kw, string ...$stalls): FileOutlet
    {
        return new FileOutlet('ccs1', ['coupler' => 'ccs1', 'max_kw' => $kw, 'stalls' => array_map(self::stall(...), array_values($stalls))]);
    }

    private static function known(string $id, FileOutlet $outlet): KnownOutlet
    {
        return new KnownOutlet($id, $outlet->name, $outlet->spec, $outlet);
    }

    /** @param  list<FileOutlet>  $outlets */
    private static function place(array $outlets): FilePlace
    {
        return new FilePlace('XX*ABC', 'L', 'Sluice wharf', $outlets, []);
    }

    /**
     * @param  list<KnownOutlet>  $known
     * @return list<array{string, string|null}>
     */
    private static function told(FilePlace $place, array $known): array
    {
        return array_map(static fn (OutletChange $c): array => [$c->kind->value, $c->id], PlaceDifference::of($place, $known));
    }
}
