<?php

declare(strict_types=1);

namespace Harmozon\Core\Equipment;

/** The protocols that an active adapter translates from and to. */
final readonly class Translation
{
    /**
     * @param  list<Signalling>  $from
     * @param  list<Signalling>  $to
     */
    public function __construct(public array $from, public array $to)
    {
    }

    /**
     * @param  list<Signalling>  $protocols  by the station's side
     * @return list<Signalling> heard on the vehicle's side
     */
    public function apply(array $protocols): array
    {
        foreach ($protocols as $language) {
            if (in_array($language, $this->from, true)) {
                return $this->to;
            }
        }

        return [];
    }
}
