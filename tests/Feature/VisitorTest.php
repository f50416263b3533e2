<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** What somebody without an account may ask: a car, and its answers. */
final class VisitorTest extends TestCase
{
    use StartsFromSeed;

    public function test_a_visitor_who_knows_the_plug_gets_an_answer_at_every_kind(): void
    {
        $draft = $this->postJson('/api/visitors/new-car', ['faces' => ['ccs1'], 'timezone' => 'America/Chicago'])->assertOk();
        Contract::holds('POST', '/visitors/new-car', $draft);
        Contract::holds('GET', '/visitors/car-kinds', $this->getJson('/api/visitors/car-kinds')->assertOk());
        Contract::holds('GET', '/visitors/terms', $this->getJson('/api/visitors/terms')->assertOk());

        self::assertSame('north-america', $draft->json('region'));
        $here = collect($draft->json('rows'))->where('here', true);
        self::assertSame(['charges' => 9, 'limited' => 9, 'no_joint' => 9, 'unverified' => 2], $here->countBy('cell.outcome')->sortKeys()->all());
    }

    /** @return iterable<string, array{array<string, string>, string, list<string>}> */
    public static function regions(): iterable
    {
        yield 'a time zone' => [['timezone' => 'Europe/Berlin'], 'europe', ['Type 2']];
        yield 'one without a country: the way of writing' => [['timezone' => 'Etc/UTC', 'locale' => 'en-GB'], 'uk', ['Type 2']];
        yield 'a choice beats both' => [['timezone' => 'Europe/Berlin', 'locale' => 'de-DE', 'region' => 'china'], 'china', []];
        yield 'no zone at all' => [['timezone' => 'Mars/Olympus'], 'elsewhere', ['Type 1', 'Type 2']];
    }

    /**
     * @param  array<string, string>  $told
     * @param  list<string>  $posts  couplers of the AC posts that exist there, of Type 1 and Type 2
     */
    #[DataProvider('regions')]
    public function test_the_region_is_chosen_or_guessed(array $told, string $region, array $posts): void
    {
        $draft = $this->postJson('/api/visitors/new-car', ['faces' => ['ccs2'], ...$told])->assertOk();
        $here = collect($draft->json('rows'))->where('here', true)->where('group', 'ac')->pluck('name')->map(static fn (string $n): string => preg_match('/Type [12]/', $n, $found) === 1 ? $found[0] : '')->filter()->unique()->sort()->values()->all();

        self::assertSame([$region, $posts], [$draft->json('region'), $here]);
        self::assertFalse(collect($draft->json('rows'))->firstWhere('name', 'Paddle post')['here']);
    }

    public function test_visitors_can_be_shut_out(): void
    {
        config(['harmozon.visitors' => false]);
        foreach ([['GET', 'terms'], ['GET', 'car-kinds'], ['POST', 'new-car']] as [$method, $path]) {
            Contract::holds($method, "/visitors/{$path}", $this->json($method, "/api/visitors/{$path}")->assertForbidden());
        }
    }

    public function test_one_address_asks_so_often_and_no_oftener(): void
    {
        foreach (range(1, 120) as $ignored) {
            $this->getJson('/api/visitors/car-kinds')->assertOk();
        }
        $this->postJson('/api/visitors/new-car', ['faces' => ['ccs1']])->assertTooManyRequests();
        $this->withServerVariables(['REMOTE_ADDR' => '203.0.113.7'])->postJson('/api/visitors/new-car', ['faces' => ['ccs1']])->assertOk();
    }

    public function test_a_wrong_answer_is_named_and_a_wrong_region_too(): void
    {
        $this->postJson('/api/visitors/new-car', ['faces' => ['round']])->assertStatus(422)->assertJsonStructure(['errors' => ['faces[0]']]);
        $this->postJson('/api/visitors/new-car', ['faces' => ['ccs1'], 'region' => 'atlantis'])->assertStatus(422)->assertJsonStructure(['errors' => ['region']]);
    }
}
