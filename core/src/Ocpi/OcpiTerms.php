<?php

declare(strict_types=1);

namespace Harmozon\Core\Ocpi;

/** Terms of the Open Charge Point Interface 2.2.1 (ConnectorType, PowerType) and ours. */
final class OcpiTerms
{
    /** Connector standards and our couplers. */
    public const COUPLERS = [
        'IEC_62196_T1' => 'type1',
        'IEC_62196_T1_COMBO' => 'ccs1',
        'IEC_62196_T2' => 'type2',
        'IEC_62196_T2_COMBO' => 'ccs2',
        'SAE_J3400' => 'j3400',
        'CHADEMO' => 'chademo',
        'GBT_AC' => 'gbt_ac',
        'GBT_DC' => 'gbt_dc',
        'NEMA_5_20' => 'socket:5-20',
        'NEMA_6_30' => 'socket:6-30',
        'NEMA_6_50' => 'socket:6-50',
        'NEMA_10_30' => 'socket:10-30',
        'NEMA_10_50' => 'socket:10-50',
        'NEMA_14_30' => 'socket:14-30',
        'NEMA_14_50' => 'socket:14-50',
        'DOMESTIC_B' => 'socket:5-15',
        'DOMESTIC_F' => 'socket:household-230',
        'IEC_60309_2_single_16' => 'socket:blue-16',
        'IEC_60309_2_three_16' => 'socket:red-16',
        'IEC_60309_2_three_32' => 'socket:red-32',
    ];

    /** Power types of AC and their phases. */
    public const PHASES = ['AC_1_PHASE' => 1, 'AC_2_PHASE' => 2, 'AC_2_PHASE_SPLIT' => 2, 'AC_3_PHASE' => 3];

    public const DC = 'DC';

    public const CABLE = 'CABLE';

    public const SOCKET = 'SOCKET';

    public static function standard(string $coupler): ?string
    {
        return array_flip(self::COUPLERS)[$coupler] ?? null;
    }

    public static function powerType(int $phases): string
    {
        return array_flip(array_reverse(self::PHASES))[$phases] ?? 'AC_1_PHASE';
    }
}
