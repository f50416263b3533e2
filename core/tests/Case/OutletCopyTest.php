<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Case;

use Harmozon\Core\Case\OutletCopy;
use PHPUnit\Framework\TestCase;

final class OutletCopyTest extends TestCase
{
    public function test_the_rating_is_copied_and_the_state_of_the_first_is_not(): void
    {
        $shared = [
            'coupler' => 'ccs1', 'current' => 'dc', 'max_kw' => 150, 'tariff' => ['currency' => 'USD', 'per_kwh' => '0.48'],
            'cable' => ['length_m' => 3, 'cooled' => true], 'cabinet' => ['kw' => 300, 'policy' => 'equal'], 'attached_adapter' => ['id' => 'own', 'recalled' => true],
            'stalls' => [['label' => '1', 'bay' => 'end']], 'origins' => ['max_kw' => ['origin' => 'read']],
        ];
        $own = [
            'address' => '3 Yard Lane', 'known_fault' => 'screen dead', 'extension' => true,
            'cable' => ['cooling_failed' => true, 'ageing' => 0.8], 'cabinet' => ['partner_active' => true, 'partner_kw' => 40], 'attached_adapter' => ['damaged' => true, 'test_overdue' => true],
            'stalls' => [['evse_id' => 'XX*E1', 'uid' => 'E1', 'connector' => '1', 'fault' => 'lock stuck']], 'origins' => ['cable.ageing' => ['origin' => 'read'], 'address' => ['origin' => 'read']],
        ];

        self::assertSame($shared, OutletCopy::of(array_replace_recursive($shared, $own)));
        self::assertSame(['coupler' => 'ccs1', 'cable' => null], OutletCopy::of(['coupler' => 'ccs1', 'cable' => null]), 'what is not known stays so');
    }
}
