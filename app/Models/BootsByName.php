<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Finds the boot methods of a model's traits by name only (bootX, initializeX of a trait X). The framework also looks
 * for attributes by reflection, on four hundred methods for every model of every request, which takes a tenth of the
 * smallest request. No trait here uses attributes.
 *
 * @phpstan-require-extends Model
 */
trait BootsByName
{
    protected static function bootTraits(): void
    {
        static::$traitInitializers[static::class] = [];
        foreach (array_unique(array_map(class_basename(...), class_uses_recursive(static::class))) as $trait) {
            if (method_exists(static::class, "boot{$trait}")) {
                (new \ReflectionMethod(static::class, "boot{$trait}"))->invoke(null);
            }
            if (method_exists(static::class, "initialize{$trait}")) {
                static::$traitInitializers[static::class][] = "initialize{$trait}";
            }
        }
    }
}
