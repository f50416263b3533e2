<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Equipment;

use Harmozon\Core\Equipment\CouplerLook;
use PHPUnit\Framework\TestCase;

final class CouplerLookTest extends TestCase
{
    /** Counted on the faces of the standards: SAE J1772 and J3400, IEC 62196-2/-3, GB/T 20234, IEEE 2030.1.1. */
    public function test_what_tells_one_face_from_another(): void
    {
        self::assertSame([
            'type1 round 5',
            'ccs1 round 7 below',
            'type2 flat-top 7',
            'ccs2 flat-top 9 below',
            'j3400 oval 5',
            'chademo large round 10',
            'gbt_ac flat-top 7',
            'gbt_dc large round 9',
            'legacy_paddle paddle 0',
            'legacy_butt square 6',
        ], array_map(static fn (CouplerLook $m): string => "{$m->family->value} {$m->outline} {$m->contacts}".($m->bigBelow ? ' below' : ''), CouplerLook::all()));
    }
}
