<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Equipment\Bay;

/** A place on the way: where it is, and its bays where a trailer can stay on. */
final readonly class PackedPlace
{
    /**
     * @param  string  $place  its id
     * @param  string|null  $address  the first that any of its outlets has; null when not noted
     * @param  list<string>  $pullThrough  labels of stalls that one drives through
     */
    private function __construct(public string $place, public ?string $address, public array $pullThrough)
    {
    }

    /**
     * @param  list<PlacedOutlet>  $outlets
     * @return list<self> in the order of the outlets
     */
    public static function along(array $outlets): array
    {
        $found = [];
        foreach ($outlets as $at) {
            $before = $found[$at->place] ?? new self($at->place, null, []);
            $site = $at->outlet->site;
            $labels = [];
            foreach ($site->stalls as $stall) {
                if ($stall->bay === Bay::PullThrough) {
                    $labels[] = $stall->label;
                }
            }
            $found[$at->place] = new self($at->place, $before->address ?? $site->address, [...$before->pullThrough, ...$labels]);
        }

        return array_values($found);
    }
}
