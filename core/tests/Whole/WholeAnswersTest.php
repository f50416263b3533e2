<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Whole;

use Harmozon\Core\Answers\CheckWriter;
use Harmozon\Core\Answers\FitWriter;
use Harmozon\Core\Answers\ForecastWriter;
use Harmozon\Core\Answers\ReviewWriter;
use Harmozon\Core\Answers\StepsWriter;
use Harmozon\Core\Answers\TermsWriter;
use Harmozon\Core\Answers\VisitWriter;
use Harmozon\Core\Bench\Quirks;
use Harmozon\Core\Bench\Script;
use Harmozon\Core\Bench\StandIn;
use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Case\CatalogueReader;
use Harmozon\Core\Case\FitCase;
use Harmozon\Core\Case\GarageFile;
use Harmozon\Core\Equipment\Outlet;
use Harmozon\Core\Fit\Fitter;
use Harmozon\Core\Forecast\AdvertisedPower;
use Harmozon\Core\Forecast\Forecaster;
use Harmozon\Core\Forecast\Ranking;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Ocpi\AssignedTerms;
use Harmozon\Core\Ocpi\FileOutlet;
use Harmozon\Core\Ocpi\FilePlace;
use Harmozon\Core\Ocpi\ForeignTerm;
use Harmozon\Core\Ocpi\LocationsReader;
use Harmozon\Core\Ocpi\LocationsWriter;
use Harmozon\Core\Readings\ReadingsReader;
use Harmozon\Core\Readings\RejectedRow;
use Harmozon\Core\Readings\RejectedRows;
use Harmozon\Core\Record\Judge;
use Harmozon\Core\Record\Reading;
use Harmozon\Core\Review\Diagnosis;
use Harmozon\Core\Steps\StepList;
use Harmozon\Core\Tests\Cases;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Whole documents, to the last digit and word. That they are right is shown elsewhere, by figures worked out by hand and
 * by properties; here nothing of an answer changes unnoticed. After a change that is meant, HARMOZON_WRITE_ANSWERS=1
 * writes them anew, and the difference is read before it is kept.
 */
final class WholeAnswersTest extends TestCase
{
    /** Of a forecast's points and of a long session's readings about so many are kept: neighbours tell the same. */
    private const ABOUT = 16;

    /** @param  array<string, mixed>  $file */
    #[DataProvider('cases')]
    public function test_a_fit(string $name, array $file): void
    {
        $case = Cases::read($file);
        $answer = $case->fitter()->answer($case->outlet, $case->vehicle);
        $catalogue = (new CatalogueReader)->catalogue(...array_map(static fn (string $kind): string => (string) file_get_contents(__DIR__."/../../catalogue/{$kind}-kinds.json"), ['charger', 'adapter']));
        $this->stands("{$name}.fit", (new FitWriter(Say::voice()))->answer($answer, $case->changes($catalogue)->changes($answer->best, $case->outlet, $case->vehicle)));
    }

    /** @param  array<string, mixed>  $file */
    #[DataProvider('cases')]
    public function test_a_forecast(string $name, array $file): void
    {
        $case = Cases::read($file);
        $answer = (new ForecastWriter(Say::voice()))->forecast((new Forecaster)->forecast($case->fitter()->answer($case->outlet, $case->vehicle)->best, $case->conditions), $case->conditions);
        self::assertIsArray($answer['points']);
        $answer['points'] = self::thinned($answer['points']);
        $this->stands("{$name}.forecast", $answer);
    }

    /** @param  array<string, mixed>  $file */
    #[DataProvider('cases')]
    public function test_a_visit(string $name, array $file): void
    {
        $case = Cases::read($file);
        $forecast = (new Forecaster)->forecast($case->fitter()->answer($case->outlet, $case->vehicle)->best, $case->conditions);
        $visit = (new VisitWriter(new StepsWriter(Say::voice()), Say::voice()))->visit(StepList::of($forecast->answer, $forecast->advice->passed), $forecast, $case->conditions);
        self::assertIsArray($visit['expected']);
        self::assertIsArray($visit['expected']['points']);
        $visit['expected']['points'] = self::thinned($visit['expected']['points']);
        $this->stands("{$name}.visit", $visit);
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function cases(): iterable
    {
        foreach (Asked::cases() as $name => $file) {
            yield $name => [$name, $file];
        }
    }

    public function test_a_board_a_ranking_and_stickers(): void
    {
        $garage = $this->garage();
        $this->stands('board', array_map((new FitWriter(Say::voice()))->cell(...), iterator_to_array($garage->board()->answers(), false)));
        $writer = new ForecastWriter(Say::voice());
        foreach ($garage->vehicles as $vehicle) {
            $this->stands("ranking.{$vehicle->id}", $writer->ranking(Ranking::of($garage->outlets, $vehicle, new Fitter($garage->adapters, $garage->conditions, $garage->policy))));
        }
        $this->stands('stickers', array_map(static fn (Outlet $o): array => $writer->sticker(new AdvertisedPower($o), $garage->vehicles, $garage->conditions), $garage->outlets));
        $this->stands('terms', (new TermsWriter(Say::voice()))->terms());
    }

    public function test_a_session_acted_out(): void
    {
        foreach (['boost-warm', 'three-phases', 'step-up', 'cold'] as $name) {
            $case = $this->asked($name);
            $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
            foreach ([new Script(11, 47, ['soc', 'v', 'a', 'kw', 'adapter', 'handle', 'cable', 'inlet', 'ambient'], 33.3), new Script(12, 90, ['kw', 'a'], quirks: new Quirks(ignoresHeat: true)), new Script(13, 61, ['a', 'adapter'], 9.7)] as $script) {
                $readings = StandIn::noted($answer->chain, $answer->voltage, $case->conditions, $script)->readings;
                $this->stands("{$name}.acted-{$script->seed}", self::thinned(array_map(static fn (Reading $r): string => implode(' ', [$r->tMs, $r->socPct, $r->volts, $r->amps, $r->kw, ...$r->celsius, $r->source]), $readings)));
                $this->stands("{$name}.judged-{$script->seed}", $this->judged($case, $readings));
            }
        }
    }

    public function test_a_network_file_in_and_out(): void
    {
        $read = (new LocationsReader(Say::voice()))->read((string) json_encode(Asked::locations()), new AssignedTerms([]));
        $this->stands('ocpi.read', [
            'places' => array_map(static fn (FilePlace $p): array => [
                'id' => $p->id, 'party' => $p->party, 'name' => $p->name, 'not_understood' => Say::voice()->each($p->notUnderstood),
                'outlets' => array_map(static fn (FileOutlet $o): array => ['name' => $o->name, 'spec' => $o->spec], $p->outlets),
            ], $read->places),
            'foreign' => array_map(static fn (ForeignTerm $t): array => (array) $t, $read->foreign),
        ]);
        $places = array_map(static fn (FilePlace $p): array => ['id' => $p->id, 'party' => $p->party, 'name' => $p->name, 'outlets' => array_map(static fn (FileOutlet $o, int $i): array => ['id' => "o{$i}", 'spec' => $o->spec], $p->outlets, array_keys($p->outlets))], $read->places);
        $ours = ['id' => 'yard', 'party' => '', 'name' => 'Yard', 'outlets' => [['id' => 'old', 'spec' => ['coupler' => 'legacy_paddle'] + Cases::AC_POST], ['id' => 'ours', 'spec' => ['stalls' => [['label' => '1'], ['label' => '2', 'fault' => 'dark']]] + Cases::DC_POST], ['id' => 'plug', 'spec' => Cases::AC_POST]]];
        $written = (new LocationsWriter)->write([...$places, $ours]);
        $this->stands('ocpi.written', ['left_out' => Say::voice()->each($written['left_out'])] + $written);
    }

    public function test_a_session_from_a_file(): void
    {
        foreach (['boost-warm', 'adapter-that-holds-back', 'figures-unread', 'cooling-failed'] as $name) {
            $rows = (new ReadingsReader)->read(explode("\n", Asked::readings()));
            $this->stands("{$name}.judged-file", $this->judged($this->asked($name), $rows));
        }
    }

    /**
     * @param  iterable<Reading|RejectedRow>  $rows
     * @return array<string, mixed>
     */
    private function judged(FitCase $case, iterable $rows): array
    {
        $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        $judge = new Judge($answer, $case->conditions);
        $rejected = new RejectedRows;
        foreach ($rows as $row) {
            $row instanceof Reading ? $judge->add($row) : $rejected->add($row);
        }

        $judgement = $judge->judgement();

        return [...(new CheckWriter(Say::voice()))->judgement($judgement, $rejected), ...(new ReviewWriter(Say::voice()))->diagnosis(Diagnosis::of($answer, $case->conditions, $judgement->measured))];
    }

    /**
     * @param  array<array-key, mixed>  $items
     * @return array<array-key, mixed> how many there are, and some of them by their place
     */
    private static function thinned(array $items): array
    {
        $every = max(1, intdiv(count($items), self::ABOUT));

        return ['count' => count($items)] + array_filter($items, static fn (int $i): bool => $i % $every === 0 || $i > count($items) - 3, ARRAY_FILTER_USE_KEY);
    }

    private function asked(string $name): FitCase
    {
        return Cases::read(iterator_to_array(Asked::cases())[$name]);
    }

    private function garage(): GarageFile
    {
        return (new CaseReader)->garage(Node::of(Asked::garage()));
    }

    private function stands(string $name, mixed $answer): void
    {
        $file = __DIR__."/answers/{$name}.json";
        $text = (string) preg_replace_callback('/^( +)/m', static fn (array $m): string => str_repeat(' ', intdiv(strlen($m[1]), 4)), json_encode($answer, JSON_PRETTY_PRINT | JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR))."\n";
        if (getenv('HARMOZON_WRITE_ANSWERS') === '1') {
            file_put_contents($file, $text);
        }
        self::assertFileExists($file);
        self::assertStringEqualsFile($file, $text, $name);
    }
}
