<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Health\CheckUp;
use App\Health\Finding;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;
use Harmozon\Core\Words\Voice;
use Illuminate\Console\Command;

/** Says in ten lines what is wrong with an installation, and how to mend it. */
final class DoctorCommand extends Command
{
    protected $signature = 'harmozon:doctor {--json : for a program}';

    protected $description = 'Say what is wrong with this installation, and how to mend it';

    private const NAME_WIDTH = 10;

    public function handle(CheckUp $checkUp, Voice $voice): int
    {
        $findings = $checkUp->findings();
        $bad = count(array_filter($findings, static fn (Finding $f): bool => ! $f->isGood));
        if ($this->option('json') === true) {
            $this->line((string) json_encode(array_map(static fn (Finding $f): array => ['check' => $f->subject->value, 'good' => $f->isGood, 'says' => $voice->say($f->says)], $findings), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));
        } else {
            foreach ($findings as $finding) {
                $this->line(sprintf('%s %s %s', $finding->isGood ? 'ok' : '!!', str_pad($finding->subject->value, self::NAME_WIDTH), $voice->say($finding->says)));
            }
            $this->line($voice->say($bad === 0 ? Message::of('health.well') : Message::of('health.to_mend', count: Amount::count($bad))));
        }

        return $bad === 0 ? self::SUCCESS : self::FAILURE;
    }
}
