<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Power\BindingCode;

/** One way in which a pair charges: directly, or through one piece. */
final readonly class Reach
{
    /** Directly, or through the station's own adapter. */
    public const WITHOUT = -1;

    /**
     * @param  int  $piece  its number among the pieces of the question, owned ones first; WITHOUT for none
     * @param  int  $rank  0 for the pair's best way; equally good ways have the same rank
     * @param  float  $kw  expected peak at the plug
     * @param  bool  $isAtMost  whether the power is only an upper limit
     * @param  BindingCode|null  $binding  what limits the power; null when not known
     */
    public function __construct(public int $piece, public int $rank, public float $kw, public bool $isAtMost, public ?BindingCode $binding = null)
    {
    }
}
