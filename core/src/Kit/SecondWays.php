<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Equipment\Stall;

/** What is left for each car at each place when one stall, one network or one owned adapter fails. */
final readonly class SecondWays
{
    /** @param  list<Loss>  $losses  car by car at each place where it charges now */
    private function __construct(public array $losses)
    {
    }

    public static function of(PairTable $table): self
    {
        $groups = [];
        foreach ($table->pairs as $pair) {
            if ($pair->best($table->owned) !== null) {
                $groups["{$pair->at->place}\n{$pair->vehicle->id}"][] = $pair;
            }
        }
        $losses = [];
        foreach ($groups as $pairs) {
            $losses = [...$losses, ...self::ofGroup($pairs, $table)];
        }

        return new self($losses);
    }

    /** @return list<Loss> a car no longer charges at the place */
    public function stranded(): array
    {
        return array_values(array_filter($this->losses, static fn (Loss $loss): bool => $loss->isStranded()));
    }

    /** The place where single failures strand the most cars; of equal ones the first. Null when none does. */
    public function weakestPlace(): ?string
    {
        $cars = [];
        foreach ($this->stranded() as $loss) {
            $cars[$loss->place][$loss->vehicle->id] = true;
        }
        $counts = array_map(count(...), $cars);

        return $counts === [] ? null : (string) array_search(max($counts), $counts, true);
    }

    /**
     * @param  non-empty-list<Pair>  $pairs  of one car at one place, where it charges now
     * @return list<Loss>
     */
    private static function ofGroup(array $pairs, PairTable $table): array
    {
        $networks = $adapters = $outlets = [];
        foreach ($pairs as $pair) {
            $outlet = $pair->at->outlet;
            if ($outlet->site->access->network !== null) {
                $networks[$outlet->site->access->network] = true;
            }
            $piece = $pair->best($table->owned)?->piece;
            if ($piece !== null && $piece !== Reach::WITHOUT) {
                $adapters[$piece] = true;
            }
            if (! self::hasAnotherStall($pair)) {
                $outlets[$outlet->id] = true;
            }
        }
        $now = self::mostKw($pairs, $table, static fn (): bool => true) ?? 0.0;
        $loss = static fn (FailingPart $part, string $failed, callable $isLeft): Loss => new Loss($pairs[0]->vehicle, $pairs[0]->at->place, $part, $failed, $now, self::mostKw($pairs, $table, $isLeft));

        return [
            ...array_map(static fn (int|string $id): Loss => $loss(FailingPart::Outlet, (string) $id, static fn (Pair $p): bool => $p->at->outlet->id !== (string) $id), array_keys($outlets)),
            ...array_map(static fn (int|string $name): Loss => $loss(FailingPart::Network, (string) $name, static fn (Pair $p): bool => $p->at->outlet->site->access->network !== (string) $name), array_keys($networks)),
            ...array_map(static fn (int $piece): Loss => $loss(FailingPart::Adapter, $table->piece($piece)->id, static fn (Pair $p, Reach $way): bool => $way->piece !== $piece), array_keys($adapters)),
        ];
    }

    private static function hasAnotherStall(Pair $pair): bool
    {
        $sound = array_filter($pair->at->outlet->site->stalls, static fn (Stall $stall): bool => $stall->fault === null);

        return count($sound) > 1;
    }

    /**
     * @param  non-empty-list<Pair>  $pairs
     * @param  callable(Pair, Reach): bool  $isLeft
     */
    private static function mostKw(array $pairs, PairTable $table, callable $isLeft): ?float
    {
        $most = null;
        foreach ($pairs as $pair) {
            foreach ($pair->ways as $way) {
                if ($way->piece < $table->owned && $isLeft($pair, $way)) {
                    $most = max($most ?? 0.0, $way->kw);
                    break;
                }
            }
        }

        return $most;
    }
}
