<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Whole;

use Harmozon\Core\Case\CarKindsReader;
use Harmozon\Core\Case\CatalogueReader;
use Harmozon\Core\Case\EquipmentReader;
use Harmozon\Core\Case\NewCar;
use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Catalogue\ChargerKind;
use Harmozon\Core\Chain\Conditions;
use Harmozon\Core\Chain\Fact;
use Harmozon\Core\Chain\FactOwner;
use Harmozon\Core\Equipment\Access;
use Harmozon\Core\Equipment\AccessKind;
use Harmozon\Core\Equipment\Vehicle;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Fit\Outcome;
use Harmozon\Core\Json\Node;
use PHPUnit\Framework\TestCase;

/**
 * Six people who know the plug of their car and nothing else, at every kind of charger: a table that was read line by line against
 * what standards fix. HARMOZON_WRITE_ANSWERS=1 writes it again; the difference is read before it is kept.
 */
final class NewcomersTest extends TestCase
{
    /** By the plug, and for a plug that leaves its protocol open also by that. */
    private const NEWCOMERS = [
        'ccs1' => ['faces' => ['ccs1']],
        'ccs2' => ['faces' => ['ccs2']],
        'chademo and type1' => ['faces' => ['chademo', 'type1']],
        'type1' => ['faces' => ['type1']],
        'j3400, newer' => ['faces' => ['j3400'], 'languages' => ['plc']],
        'j3400, age not known' => ['faces' => ['j3400']],
    ];

    /** All that may be left open: which protocol, who is admitted, more than 250 V, and whatever belongs to an adapter. */
    private const OPEN = [Fact::VehicleLanguages, Fact::AdmittedMakes, Fact::Programmes, Fact::AcMaxV];

    public function test_every_kind_has_an_answer_and_a_span_of_kw(): void
    {
        $lines = [];
        foreach ($this->answers() as [$who, $kind, $answer]) {
            $band = $answer->bandKw();
            if ($answer->outcome->mayFlow()) {
                self::assertNotNull($band, "{$who} at {$kind->id}");
                self::assertLessThanOrEqual($band->high + 1e-9, $answer->expectedPeakKw(), "{$who} at {$kind->id}");
                self::assertFalse($answer->isAtMost(), "{$who} at {$kind->id}");
            }
            $lines[] = sprintf(
                '%-22s %-26s %-12s %-14s %s', $who, $kind->id, $answer->outcome->value, $band === null ? '' : round($band->low, 1).'–'.round($band->high, 1).' kW',
                implode(', ', [...$answer->chain->adapterIds(), ...self::asked($answer)]),
            );
        }
        $table = implode("\n", array_map(rtrim(...), $lines))."\n";
        $file = __DIR__.'/answers/newcomers.txt';
        if (getenv('HARMOZON_WRITE_ANSWERS') === '1') {
            file_put_contents($file, $table);
        }
        self::assertStringEqualsFile($file, $table);
    }

    public function test_nothing_is_to_be_checked_but_what_no_standard_fixes(): void
    {
        foreach ($this->answers() as [$who, $kind, $answer]) {
            self::assertContains($answer->outcome, [Outcome::Charges, Outcome::Limited, Outcome::NoJoint, Outcome::WontCharge, Outcome::Unverified], "{$who} at {$kind->id}");
            foreach ($answer->outcome === Outcome::Unverified ? ($answer->deciding()->missing ?? []) : [] as $unread) {
                $isAboutAdapter = $unread->asked->owner() === FactOwner::Adapter || ($unread->asked === Fact::PackV && $answer->chain->adapters !== []);
                self::assertTrue($isAboutAdapter || in_array($unread->asked, self::OPEN, true), "{$who} at {$kind->id} asks for {$unread->asked->value}");
            }
        }
    }

    /** @return iterable<array{string, ChargerKind, ChainAnswer}> */
    private function answers(): iterable
    {
        $catalogue = self::catalogue();
        foreach (self::NEWCOMERS as $who => $answers) {
            $car = self::car($answers);
            $fitter = new Fitter($catalogue->suppliesBeside([]), new Conditions);
            foreach ($catalogue->chargers() as $kind) {
                // Who may start is a matter of a place, but for closed hubs.
                $outlet = $kind->group === 'hubs' ? $kind->outlet : $kind->outlet->admitting(new Access(AccessKind::Open, null));
                yield [$who, $kind, $fitter->answer($outlet, $car)->best];
            }
        }
    }

    /** @return list<string> what has to be checked first */
    private static function asked(ChainAnswer $answer): array
    {
        return $answer->outcome === Outcome::Unverified ? array_map(static fn ($u): string => '? '.$u->asked->value, $answer->deciding()->missing ?? []) : [];
    }

    /** @param  array<string, mixed>  $answers */
    private static function car(array $answers): Vehicle
    {
        $newCar = new NewCar((new CarKindsReader)->json(self::shipped('car-kinds')));
        $plate = $newCar->plate($newCar->answers(Node::of($answers)), '2031-05-02');

        return (new EquipmentReader)->vehicle(Node::of(['id' => 'car', 'name' => 'Car', ...(array) json_decode((string) json_encode($plate), true)]));
    }

    private static function catalogue(): Catalogue
    {
        return (new CatalogueReader)->catalogue(self::shipped('charger-kinds'), self::shipped('adapter-kinds'));
    }

    private static function shipped(string $name): string
    {
        return (string) file_get_contents(__DIR__."/../../catalogue/{$name}.json");
    }
}
