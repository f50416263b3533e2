<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Files\TextInput;
use Harmozon\Core\Answers\KitWriter;
use Harmozon\Core\Case\KitReader;
use Harmozon\Core\Catalogue\Catalogue;
use Harmozon\Core\Equipment\Adapter;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Kit\KitQuestion;
use Harmozon\Core\Kit\Purchase;
use Harmozon\Core\Kit\SmallestKit;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Listing;
use Harmozon\Core\Words\Message;

final class KitCommand extends CoreCommand
{
    protected $signature = 'harmozon:kit {garage : a garage\'s document, or - for standard input} {--most= : the most adapters of one purchase} {--together= : ids of cars that travel at once, separated by commas} {--json : print JSON instead of a table}';

    protected $description = 'The fewest adapters to buy so that the cars of a garage charge at most of its chargers';

    private ?SmallestKit $kit = null;

    private ?KitQuestion $question = null;

    protected function answer(): array
    {
        $together = $this->option('together');
        $node = Node::fromJson(TextInput::text($this->path('garage'), 'garage'));
        $ids = array_values(array_filter(array_map(trim(...), explode(',', is_string($together) ? $together : '')), static fn (string $id): bool => $id !== ''));
        $this->question = (new KitReader($this->laravel->make(Catalogue::class)))->question($node, $ids);
        $this->kit = SmallestKit::of($this->question, $this->most());

        return (new KitWriter($this->voice()))->answer($this->kit, $this->question, $this->laravel->make(Catalogue::class));
    }

    /** @throws FieldError */
    private function most(): int
    {
        $most = $this->option('most') ?? (string) SmallestKit::MOST;
        if (! is_string($most) || ! ctype_digit($most) || (int) $most < 1 || (int) $most > SmallestKit::MOST) {
            throw FieldError::at('most', Message::of('console.kit_most', most: Amount::count(SmallestKit::MOST)));
        }

        return (int) $most;
    }

    protected function describe(array $answer): void
    {
        if ($this->kit === null || $this->question === null) {
            return;
        }
        $voice = $this->voice();
        $kit = $this->kit;
        $this->tell($voice->say(Message::of('console.kit_now', pairs: Amount::count(count($kit->table->pairs)), covered: Amount::count($kit->now->covered), second: Amount::count($kit->now->second))));
        foreach ($kit->charged as $charged) {
            $this->tell($voice->say(Message::of('console.kit_charge', adapter: $charged->adapter->name, count: Amount::count(count($charged->newly)))));
        }
        if ($kit->purchases === []) {
            $this->tell($voice->say(Message::of('console.kit_nothing')));
        } else {
            $this->tabulate(['buy', 'charge', 'second way', 'price'], array_map($this->row(...), $kit->purchases));
            $this->tell($voice->say($kit->isExact ? Message::of('console.kit_exact') : Message::of('console.kit_greedy')));
        }
        if ($kit->notNeeded !== []) {
            $this->tell($voice->say(Message::of('console.kit_not_needed', pieces: Listing::and(array_map(static fn (Adapter $a): string => $a->name, $kit->notNeeded)))));
        }
        /** @var list<array{reason: string, changes: list<string>}> $never */
        $never = $answer['never'];
        foreach ($kit->never() as $number => $pair) {
            $told = $never[$number];
            $this->tell($voice->say(Message::of('console.kit_never', vehicle: $pair->vehicle->name, outlet: $pair->at->outlet->name, reason: $told['reason'])));
            foreach ($told['changes'] as $change) {
                $this->tell($voice->say(Message::of('console.kit_change', change: $change)));
            }
        }
    }

    /** @return list<string|int> */
    private function row(Purchase $purchase): array
    {
        $amount = $purchase->price->amount();
        $currency = $this->question?->currency;
        $price = $currency === null ? Message::of('console.kit_price', price: $amount) : Message::of('console.kit_price', price: Amount::money($amount, $currency));
        $told = match (true) {
            ! $purchase->price->isAtLeast() => $price,
            ! $purchase->price->isKnown() => Message::of('console.kit_no_price'),
            default => Message::of('console.kit_at_least', price: $price),
        };

        return [implode(' + ', array_map(static fn (Adapter $a): string => $a->name, $purchase->buy)), $purchase->worth->covered, $purchase->worth->second, $this->voice()->say($told)];
    }
}
