<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Console\WholeNumberOption;
use App\Files\TextInput;
use Harmozon\Core\Answers\SimulationWriter;
use Harmozon\Core\Bench\ExactInstruments;
use Harmozon\Core\Bench\FoundInstruments;
use Harmozon\Core\Bench\Noise;
use Harmozon\Core\Bench\Script;
use Harmozon\Core\Bench\SimulatedSession;
use Harmozon\Core\Bench\Simulation;
use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Case\FaultReader;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Readings\ReadingsWriter;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

final class SimulateCommand extends CoreCommand
{
    use WholeNumberOption;

    private const INSTRUMENTS = ['exact', 'found'];

    protected $signature = 'harmozon:simulate {case : a case file, or - for standard input} {--seed=1 : the same seed gives the same session} {--fault= : what goes wrong, CODE or CODE@MINUTE} {--every=1 : seconds between two readings} {--instruments=exact : exact, or found: with the errors of ordinary instruments} {--json : print JSON instead of a table} {--csv : print a readings file}';

    protected $description = 'A session of a stand-in car, adapter and charger, with a fault if you like';

    private ?SimulatedSession $session = null;

    protected function answer(): array
    {
        if ($this->option('json') === true && $this->option('csv') === true) {
            throw FieldError::at('csv', Message::of('console.one_format'));
        }
        $seed = $this->wholeNumber('seed', 0, Noise::LARGEST_SEED);
        $everyS = $this->wholeNumber('every', 1, Script::SLOWEST_S);
        $told = $this->option('fault');
        $fault = is_string($told) ? FaultReader::fault($told, 'fault') : null;
        $instruments = $this->option('instruments');
        if (! in_array($instruments, self::INSTRUMENTS, true)) {
            throw FieldError::at('instruments', Message::of('field.none_of', value: '"'.(is_string($instruments) ? $instruments : '').'"', known: Listing::comma(self::INSTRUMENTS)));
        }
        $case = (new CaseReader)->json(TextInput::text($this->path('case'), 'case'));
        $answer = $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        $simulation = Simulation::of($answer, $seed, $fault);
        $this->session = $simulation->session(
            $instruments === 'exact' ? new ExactInstruments($answer->chain) : new FoundInstruments($answer->chain, $simulation->ambientC(), $seed), $everyS,
        );

        return (new SimulationWriter($this->voice()))->session($this->session, $seed, $answer->chain->current, $simulation->fault());
    }

    protected function whole(array $answer): ?iterable
    {
        return $this->option('csv') === true && $this->session !== null ? ReadingsWriter::lines($this->session->readings, $this->session->events) : null;
    }

    protected function describe(array $answer): void
    {
        if ($this->session === null) {
            return;
        }
        /** @var list<array{name: string, from_s: float, to_s: float, station: string, car: string, ear: string}> $phases */
        $phases = $answer['phases'];
        $this->tabulate(['phase', 'from s', 'to s', 'station', 'car', 'ear'], array_map(static fn (array $p): array => [$p['name'], $p['from_s'], $p['to_s'], $p['station'], $p['car'], $p['ear']], $phases));
        $this->tell($this->voice()->say(Message::of('console.simulated', outcome: $this->session->outcome->message(), minutes: Amount::minutes($this->session->minutes), kwh: Amount::kwh($this->session->plugKwh))));
        /** @var array{name: string, remedies: list<string>, wrong: list<array{do: string, why_not: string}>}|null $fault */
        $fault = $answer['fault'];
        foreach ($fault['remedies'] ?? [] as $remedy) {
            $this->tell('+ '.$remedy);
        }
        foreach ($fault['wrong'] ?? [] as $wrong) {
            $this->tell("- {$wrong['do']} {$wrong['why_not']}");
        }
    }
}
