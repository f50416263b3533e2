<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What the traits of a model do when it is first used is found by its name alone (bootX, initializeX of a trait X). The
 * framework looks for attributes as well, at each of four hundred methods by reflection, for every model of every
 * request: a tenth of the time of the smallest request. No trait here uses attributes.
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
