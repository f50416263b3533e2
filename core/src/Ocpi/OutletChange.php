<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

/** How a file changes one outlet. */
final readonly class OutletChange
{
    /**
     * @param  string|null  $id  of the outlet in the garage; null when it is new
     * @param  string  $name  as it will be
     * @param  array<string, mixed>  $spec  as it will be
     * @param  FileOutlet|null  $file  what the file says, to be remembered; null when it says nothing any more
     * @param  list<FigureChange>  $figures
     */
    public function __construct(public ChangeKind $kind, public ?string $id, public string $name, public array $spec, public ?FileOutlet $file, public array $figures = [])
    {
    }
}
