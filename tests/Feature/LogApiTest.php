<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Adapter;
use App\Models\ChargeSession;
use App\Models\Outlet;
use App\Models\Vehicle;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** What of the log is wanted, and what it adds up to. */
final class LogApiTest extends TestCase
{
    use StartsFromSeed;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->demoUser());
    }

    public function test_the_log_comes_page_by_page_and_every_session_once(): void
    {
        $seen = [];
        $after = '';
        do {
            $page = $this->getJson("/api/sessions?most=4&after={$after}")->assertOk()->assertJsonPath('total', 34);
            Contract::holds('GET', '/sessions', $page);
            array_push($seen, ...array_column($page->json('sessions'), 'id'));
            $after = (string) $page->json('next');
        } while ($after !== '');

        self::assertSame(array_column($this->getJson('/api/sessions')->json('sessions'), 'id'), $seen);
        self::assertCount(34, array_unique($seen));
    }

    public function test_sessions_of_the_same_moment_are_none_of_them_lost_between_pages(): void
    {
        ChargeSession::query()->update(['started_at' => '2026-05-01 10:00:00']);
        $first = $this->getJson('/api/sessions?most=20');
        $second = $this->getJson("/api/sessions?most=20&after={$first->json('next')}");

        self::assertCount(34, array_unique([...array_column($first->json('sessions'), 'id'), ...array_column($second->json('sessions'), 'id')]));
        self::assertNull($second->json('next'));
    }

    public function test_every_filter(): void
    {
        $id = static fn (string $of, string $name): string => $of::query()->where($of === Adapter::class ? 'tag' : 'name', $name)->firstOrFail()->ulid;
        $notes = fn (string $query): array => array_column($this->getJson("/api/sessions?{$query}")->assertOk()->json('sessions'), 'note');

        self::assertCount(14, $notes('vehicle='.$id(Vehicle::class, 'Brindle')));
        self::assertCount(7, $notes('adapter='.$id(Adapter::class, 'A3')));
        self::assertSame(['Saw 45 kW where 150 were due, waited in vain.'], $notes('outlet='.$id(Outlet::class, 'Fernway 400')));
        self::assertSame(['Hot afternoon, hall empty, left it running.'], $notes('verdict=failed'));
        self::assertSame([], $notes('verdict=open'));
        self::assertSame(['Saw 45 kW where 150 were due, waited in vain.'], $notes('cause=derated_stall'));
        self::assertSame(['Saw 45 kW where 150 were due, waited in vain.'], $notes('q=in+vain'));
        self::assertSame(['Saw 45 kW where 150 were due, waited in vain.'], $notes('q=fernway+400'));
        // Before the contactors close nobody can read the battery's voltage, and one of them never got that far. Earlier ones were at AC posts without a rating in volts.
        $lately = now()->subDays(90)->toDateString();
        foreach (['any', 'v'] as $unread) {
            self::assertSame(['Shapes mate, nothing happens. Tried twice, then drove on.', 'Saw 45 kW where 150 were due, waited in vain.'], $notes("unread={$unread}&from={$lately}"));
        }
        self::assertSame([], $notes('unread=a'));
        self::assertSame([], $notes('q=100%25'));
        self::assertCount(34, $notes('q='));
        $day = ChargeSession::query()->where('note', 'like', 'Hot afternoon%')->firstOrFail()->started_at->setTimezone('America/New_York')->toDateString();
        self::assertSame(['Hot afternoon, hall empty, left it running.'], $notes("from={$day}&to={$day}"));
        self::assertSame([], $notes('vehicle='.$id(Vehicle::class, 'Pippin').'&adapter='.$id(Adapter::class, 'A3')));
    }

    public function test_what_is_no_filter_is_refused_by_name(): void
    {
        foreach (['verdict=great' => 'verdict', 'from=yesterday' => 'from', 'most=0' => 'most', 'cause=%25' => 'cause', 'unread=ohms' => 'unread'] as $query => $field) {
            $refused = $this->getJson("/api/sessions?{$query}")->assertStatus(422)->assertJsonStructure(['errors' => [$field]]);
            Contract::holds('GET', '/sessions', $refused);
        }
    }

    public function test_sums_by_month_network_and_car(): void
    {
        $failed = ChargeSession::query()->where('note', 'like', 'Hot afternoon%')->firstOrFail();
        $this->patchJson("/api/sessions/{$failed->ulid}", ['station_kwh' => 100, 'paid' => ['amount' => '10.10', 'currency' => 'USD']])->assertOk();
        $other = ChargeSession::query()->where('note', 'like', 'Matinee%')->firstOrFail();
        $this->patchJson("/api/sessions/{$other->ulid}", ['paid' => ['amount' => '0.20', 'currency' => 'USD']])->assertOk();
        $sums = $this->getJson('/api/session-sums')->assertOk();
        Contract::holds('GET', '/session-sums', $sums);

        self::assertSame(34, $sums->json('all.sessions'));
        self::assertSame([['currency' => 'USD', 'amount' => '10.30']], $sums->json('all.money'));
        foreach (['months', 'networks', 'vehicles'] as $group) {
            self::assertSame(34, array_sum(array_column($sums->json($group), 'sessions')));
            self::assertEqualsWithDelta($sums->json('all.kwh'), array_sum(array_column($sums->json($group), 'kwh')), 1.0);
        }
        self::assertContains('Brindle', array_column($sums->json('vehicles'), 'key'));
        $lines = array_sum(array_map(static fn (array $s): float => (float) ($s['station_kwh'] ?? $s['summary']['energy_kwh'] ?? 0), $this->getJson('/api/sessions')->json('sessions')));
        self::assertEqualsWithDelta($lines, $sums->json('all.kwh'), 0.1);
        self::assertSame(1, $this->getJson('/api/session-sums?verdict=failed')->json('all.sessions'));
        self::assertEquals(100, $this->getJson('/api/session-sums?verdict=failed')->json('all.kwh'));
    }
}
