<?php

declare(strict_types=1);

namespace Harmozon\Core\Fit;

use Harmozon\Core\Equipment\Adapter;

/** What to take on a tour: the adapters that its best answers go through. */
final class PackingList
{
    /**
     * @param  iterable<Answer>  $answers  every car at every stop
     * @param  list<Adapter>  $kit
     * @return list<Adapter> in the order of the kit; a station's own stays where it is
     */
    public static function of(iterable $answers, array $kit): array
    {
        $used = [];
        foreach ($answers as $answer) {
            if ($answer->best->outcome->mayFlow()) {
                $used += array_flip($answer->best->chain->adapterIds());
            }
        }

        return array_values(array_filter($kit, static fn (Adapter $a): bool => isset($used[$a->id])));
    }
}
