<?php

declare(strict_types=1);

namespace App\Networks;

use App\Models\Outlet;
use App\Models\Place;
use Harmozon\Core\Ocpi\ChangeKind;
use Harmozon\Core\Ocpi\FilePlace;
use Harmozon\Core\Ocpi\OutletChange;

/** What importing a location of a file would change. */
final readonly class PlacePlan
{
    /**
     * @param  Place|null  $place  null when the garage has none of it
     * @param  string  $name  as it will be
     * @param  list<OutletChange>  $outlets
     * @param  array<string, Outlet>  $here  the outlets of the place by id, deleted ones too
     */
    public function __construct(public FilePlace $file, public ?Place $place, public string $name, public array $outlets, public array $here)
    {
    }

    /** Whether nobody can charge there and the garage doesn't have it. */
    public function isLeftOut(): bool
    {
        return $this->place === null && $this->file->whyNot !== null;
    }

    public function kind(): ChangeKind
    {
        $isTouched = $this->place?->name !== $this->name
            || array_filter($this->outlets, static fn (OutletChange $c): bool => in_array($c->kind, [ChangeKind::New, ChangeKind::Changed, ChangeKind::Gone], true)) !== [];

        return match (true) {
            $this->place === null => ChangeKind::New,
            $isTouched => ChangeKind::Changed,
            default => ChangeKind::Same,
        };
    }
}
