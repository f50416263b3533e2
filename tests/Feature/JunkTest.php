<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Outlet;
use App\Models\Vehicle;
use Harmozon\Core\Tests\Cases;
use Illuminate\Support\Arr;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** Junk in every field of a call is answered or refused by name, never with a failure of the server. */
#[Group('slow')]
final class JunkTest extends TestCase
{
    use StartsFromSeed;

    private const JUNK = [null, '', 'x', '9e99', -1, 0, 1e308, true, [], [[]], ['a' => 1], [1, 'two', null]];

    private const CONDITIONS = [
        'soc_from' => 10, 'soc_to' => 80, 'ambient_c' => 20, 'pack_c' => 10, 'pack_prepared' => false, 'member' => true,
        'theta' => ['cable' => 0.5], 'rested_minutes' => 10, 'ageing' => 0.9, 'idle_minutes' => 12, 'next_stop_kw' => 90,
        'faults' => ['cooling_failed' => true, 'derated_kw' => 60, 'neighbour_at_minute' => 5],
    ];

    /** @param  callable(string, string): array<string, mixed>  $body  from an outlet's and a vehicle's id */
    #[DataProvider('calls')]
    public function test_junk_is_refused_by_name(string $path, callable $body): void
    {
        $this->actingAs($this->demoUser());
        $sound = $body(Outlet::query()->where('name', 'Fernway 350')->firstOrFail()->ulid, Vehicle::query()->where('name', 'Brindle')->firstOrFail()->ulid);
        $this->assertLessThan(300, $this->postJson("/api/{$path}", $sound)->getStatusCode(), 'the sound body is accepted');
        $described = preg_replace('#^pieces/\w+#', 'pieces/{kind}', $path);
        foreach (self::paths($sound) as $at) {
            foreach (self::JUNK as $junk) {
                $wrong = $sound;
                Arr::set($wrong, $at, $junk);
                $response = $this->postJson("/api/{$path}", $wrong);
                $said = sprintf('%s with %s = %s: %s', $path, $at, json_encode($junk), mb_substr((string) $response->getContent(), 0, 300));

                self::assertLessThan(500, $response->getStatusCode(), $said);
                if ($response->getStatusCode() === 422) {
                    Contract::holds('POST', "/{$described}", $response);
                    self::assertNotSame([], $response->json('errors'), $said);
                }
            }
        }
    }

    /** @return iterable<string, array{string, callable(string, string): array<string, mixed>}> */
    public static function calls(): iterable
    {
        yield 'fit' => ['fit', static fn (string $o, string $v): array => ['outlet' => $o, 'vehicle' => $v, 'adapters' => [], 'exact' => true, 'policy' => 'any', 'conditions' => self::CONDITIONS]];
        yield 'forecast' => ['forecast', static fn (string $o, string $v): array => ['chains' => [['outlet' => $o, 'vehicle' => $v, 'adapters' => [], 'exact' => true, 'theta' => ['cable' => 0.4]]], 'kit' => 'own', 'policy' => 'any', 'conditions' => self::CONDITIONS]];
        yield 'ranking' => ['ranking', static fn (string $o, string $v): array => ['vehicle' => $v, 'kit' => 'own', 'policy' => 'any', 'conditions' => self::CONDITIONS]];
        yield 'an adapter in the shop' => ['vetting', static fn (): array => [
            'name' => 'In my hand',
            'spec' => [...array_diff_key(Cases::ADAPTER, ['id' => 0, 'name' => 0]), 'price' => '180.00', 'translates' => ['from' => ['plc'], 'to' => ['can_chademo']], 'vetting' => ['plate_said' => 'yes', 'certified_mark' => 'not_said', 'sold_for' => 'dc']],
        ]];
        yield 'an outlet' => ['pieces/outlets/check', static fn (string $o): array => [
            'name' => 'Post', 'blurb' => '', 'place' => Outlet::query()->where('ulid', $o)->firstOrFail()->place->ulid,
            'spec' => Cases::changed(array_diff_key(Cases::DC_POST, ['id' => 0, 'name' => 0]), [
                'tariff' => ['currency' => 'USD', 'per_kwh' => '0.4', 'minute_bands' => [['from_kw' => 0, 'per_minute' => '0.1']], 'membership' => ['monthly_fee' => '7', 'per_kwh' => '0.3']],
                'cabinet' => ['kw' => 300, 'policy' => 'modules', 'module_kw' => 25, 'partner_active' => true, 'partner_kw' => 60],
            ]),
        ]];
    }

    /**
     * @param  array<array-key, mixed>  $body
     * @return list<string> dotted, of every field on every level
     */
    private static function paths(array $body, string $prefix = ''): array
    {
        $paths = [];
        foreach ($body as $key => $value) {
            $paths[] = $prefix.$key;
            if (is_array($value)) {
                array_push($paths, ...self::paths($value, "{$prefix}{$key}."));
            }
        }

        return $paths;
    }
}
