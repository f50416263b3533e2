<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Console\WholeNumberOption;
use App\Files\TextInput;
use App\Garage\CurrentGarage;
use App\Models\ChargeSession;
use App\Models\LoggerToken;
use App\Sessions\SessionChain;
use App\StandIn\Feed;
use App\StandIn\FeedNews;
use App\StandIn\LoggersDoor;
use App\StandIn\ReadingId;
use Harmozon\Core\Bench\FoundInstruments;
use Harmozon\Core\Bench\Noise;
use Harmozon\Core\Bench\Script;
use Harmozon\Core\Bench\Simulation;
use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Case\FaultReader;
use Harmozon\Core\Fit\ChainAnswer;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Refusal;
use Harmozon\Core\Words\Voice;
use Illuminate\Console\Command;

/** The stand-in as a device: a logger at the chain of a live session. */
final class StandInCommand extends Command
{
    use WholeNumberOption;

    private const FASTEST = 60;

    protected $signature = 'harmozon:stand-in {--session= : id of the session that it feeds} {--token= : of a logger, from Account} {--url= : where Harmozon is; its own address unless given} {--speed=1 : 1 to 60 times as fast as a clock} {--fault= : what goes wrong, CODE or CODE@MINUTE} {--seed=1 : the same seed gives the same session} {--every=1 : simulated seconds between two readings} {--case= : a case file to act out; without it the session is looked up here}';

    protected $description = 'Feed a live session with the readings of a stand-in car, adapter and charger';

    public function handle(CurrentGarage $garage): int
    {
        try {
            $session = $this->text('session');
            $token = $this->text('token');
            $speed = $this->wholeNumber('speed', 1, self::FASTEST);
            $seed = $this->wholeNumber('seed', 0, Noise::LARGEST_SEED);
            $everyS = $this->wholeNumber('every', 1, Script::SLOWEST_S);
            $told = $this->option('fault');
            $told = is_string($told) ? $told : '';
            $fault = $told === '' ? null : FaultReader::fault($told, 'fault');
            $answer = $this->chain($session, $token, $garage);
            $simulation = Simulation::of($answer, $seed, $fault);
        } catch (Refusal $e) {
            $this->getOutput()->getErrorStyle()->writeln(CoreCommand::harmless($this->say($e->complaint())));

            return CoreCommand::BAD_INPUT;
        }
        $url = $this->option('url');
        $played = $simulation->session(new FoundInstruments($answer->chain, $simulation->ambientC(), $seed), $everyS);
        $feed = new Feed(new LoggersDoor(is_string($url) ? $url : (string) config('app.url'), $session, $token), $played->readings, ReadingId::series($session, $seed, $told, $everyS), $speed);
        $isWhole = $feed->run(function (FeedNews $news): void {
            $news->isTrouble ? $this->getOutput()->getErrorStyle()->writeln(CoreCommand::harmless($this->say($news->message))) : $this->line(CoreCommand::harmless($this->say($news->message)));
        });
        $this->line($this->say(Message::of('console.simulated', outcome: $played->outcome->message(), minutes: Amount::minutes($played->minutes), kwh: Amount::kwh($played->plugKwh))));

        return $isWhole ? self::SUCCESS : self::FAILURE;
    }

    /**
     * From the case file, or from the session as this installation knows it.
     *
     * @throws FieldError
     */
    private function chain(string $session, string $token, CurrentGarage $garage): ChainAnswer
    {
        $path = $this->option('case');
        if (is_string($path)) {
            $case = (new CaseReader)->json(TextInput::text($path, 'case'));

            return $case->fitter()->answer($case->outlet, $case->vehicle)->best;
        }
        $logger = LoggerToken::findToken($token);
        if (! $logger instanceof LoggerToken) {
            throw FieldError::at('token', Message::of('app.no_such_token'));
        }

        return $garage->open($logger->garage_id, static function () use ($session): ChainAnswer {
            $found = ChargeSession::query()->firstWhere('ulid', $session) ?? throw FieldError::at('session', Message::of('app.not_in_garage'));

            return SessionChain::of($found)->answer;
        });
    }

    /** @throws FieldError */
    private function text(string $option): string
    {
        $value = $this->option($option);

        return is_string($value) && $value !== '' ? $value : throw FieldError::at($option, Message::of('field.required'));
    }

    private function say(Message $message): string
    {
        return $this->laravel->make(Voice::class)->say($message);
    }
}
