<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Files\TextInput;
use Harmozon\Core\Answers\VettingWriter;
use Harmozon\Core\Case\KitReader;
use Harmozon\Core\Case\VettingReader;
use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Kit\Reached;
use Harmozon\Core\Kit\Vetting;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

final class VetCommand extends CoreCommand
{
    protected $signature = 'harmozon:vet {adapter : an adapter somebody looks at, with answers, or - for standard input} {garage : a garage\'s document} {--json : print JSON instead of a table}';

    protected $description = 'What speaks for and against an adapter before it is bought, and what it would add';

    private ?Vetting $vetting = null;

    protected function answer(): array
    {
        $seen = Node::fromJson(TextInput::text($this->path('adapter'), 'adapter'));
        VettingReader::mustBeVetting($seen);
        $reader = new VettingReader;
        $said = $seen->objectOrNull('answers') ?? Node::of([], 'answers');
        $answers = VettingReader::answers($said);
        $adapter = $reader->adapter($seen->object('adapter')->with(['vetting' => $said->fields()]), $this->voice()->say(Message::of('app.vet_unnamed')));
        $garage = (new KitReader($this->laravel->make(Catalogue::class)))->question(Node::fromJson(TextInput::text($this->path('garage'), 'garage')));
        $this->vetting = Vetting::of($adapter, $answers, $garage);

        return (new VettingWriter($this->voice()))->answer($this->vetting);
    }

    protected function describe(array $answer): void
    {
        if ($this->vetting === null) {
            return;
        }
        $voice = $this->voice();
        $this->tell($voice->begin($this->vetting->verdict->message()));
        foreach ($this->vetting->reasons as $reason) {
            $this->tell($voice->say(Message::of('console.caution', caution: $reason->detail)));
        }
        $this->tell($voice->say(Message::of('console.vet_adds', count: Amount::count(count($this->vetting->adds)))));
        if ($this->vetting->adds !== []) {
            $this->tabulate(['vehicle', 'outlet', 'kW'], array_map(static fn (Reached $r): array => [$r->pair->vehicle->name, $r->pair->at->outlet->name, round($r->way->kw, 1)], $this->vetting->adds));
        }
        foreach ($this->vetting->already as $already) {
            $this->tell($voice->say(Message::of('console.vet_already', adapter: $already->adapter->name, count: Amount::count($already->pairs), all: Amount::count($this->vetting->serves))));
        }
    }
}
