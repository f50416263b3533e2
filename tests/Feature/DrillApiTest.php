<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Garage\Role;
use App\Models\Garage;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Testing\TestResponse;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

final class DrillApiTest extends TestCase
{
    use StartsFromSeed;

    private User $person;

    protected function setUp(): void
    {
        parent::setUp();
        $this->person = $this->demoUser();
        $this->actingAs($this->person);
    }

    protected function tearDown(): void
    {
        Carbon::setTestNow();
        parent::tearDown();
    }

    public function test_a_newcomer_begins_with_whether_it_charges_and_the_question_stays_until_it_is_answered(): void
    {
        $first = $this->getJson('/api/drills')->assertOk();
        Contract::holds('GET', '/drills', $first);

        self::assertSame(['will_it_charge', true], [$first->json('next.kind'), $first->json('own')]);
        self::assertSame($first->json('next'), $this->getJson('/api/drills')->json('next'));
        self::assertArrayNotHasKey('right', $first->json('next.choices.0'), 'what is right is told with the answer');
        $judged = $this->answerTo($first->json('next'), false)->assertOk();
        self::assertSame(['wont_charge', 7, null], [$judged->json('right_code'), count($judged->json('gates')), $judged->json('debrief')], 'the same plug, and nothing happens');
    }

    /** Monday missed, Tuesday back; then after three days. */
    public function test_a_miss_comes_back_tomorrow_and_what_was_right_later(): void
    {
        Carbon::setTestNow('2026-11-02 12:00:00');
        $question = $this->getJson('/api/drills')->json('next');
        $missed = $this->answerTo($question, false)->assertOk();
        Contract::holds('POST', '/drills', $missed);
        self::assertFalse($missed->json('right'));
        self::assertSame([1, 1, '2026-11-03'], $this->progress('will_it_charge'));
        $this->answerTo($question, true)->assertOk();
        self::assertSame([1, 1, '2026-11-03'], $this->progress('will_it_charge'), 'the same question counts once');
        self::assertSame('through_what', $this->getJson('/api/drills')->json('next.kind'));

        Carbon::setTestNow('2026-11-03 12:00:00');
        $again = $this->getJson('/api/drills')->json('next');
        self::assertSame('will_it_charge', $again['kind']);
        self::assertTrue($this->answerTo($again, true)->json('right'));
        self::assertSame([2, 1, '2026-11-06'], $this->progress('will_it_charge'));
    }

    public function test_progress_is_each_persons_own(): void
    {
        $this->answerTo($this->getJson('/api/drills')->json('next'), true)->assertOk();
        $this->actingAs($this->person('ida', Role::Driver, $this->person->garage));

        self::assertSame([0, 0, null], $this->progress('will_it_charge'));
    }

    public function test_an_empty_garage_practises_with_made_up_pieces(): void
    {
        $empty = Garage::query()->create(['name' => 'Empty', 'timezone' => 'UTC', 'currency' => 'EUR', 'units' => 'metric', 'locale' => 'en-GB']);
        $this->actingAs($this->person('ada', Role::Keeper, $empty));
        $first = $this->getJson('/api/drills')->assertOk();

        self::assertSame([false, 'will_it_charge'], [$first->json('own'), $first->json('next.kind')]);
        $this->answerTo($first->json('next'), true)->assertOk();
    }

    public function test_every_kind_is_asked_and_answered(): void
    {
        $kinds = [];
        for ($asked = 0; $asked < 12; $asked++) {
            $question = $this->getJson('/api/drills')->json('next');
            $kinds[] = $question['kind'];
            Contract::holds('POST', '/drills', $this->answerTo($question, true)->assertOk());
        }

        self::assertCount(12, array_unique($kinds));
    }

    /** In the garage's own pieces and in made-up ones: with the signs of the fault in it. */
    public function test_the_bench_plays_a_fault_drill_in_an_empty_garage_too(): void
    {
        $empty = Garage::query()->create(['name' => 'Empty', 'timezone' => 'UTC', 'currency' => 'EUR', 'units' => 'metric', 'locale' => 'en-GB']);
        foreach ([$this->person, $this->person('ada', Role::Keeper, $empty)] as $person) {
            $this->actingAs($person);
            for ($question = null; $question === null || ! $question['played']; $question = $this->getJson('/api/drills')->json('next')) {
                if ($question !== null) {
                    $this->answerTo($question, true)->assertOk();
                }
            }
            $session = $this->postJson('/api/drills/simulation', ['kind' => $question['kind'], 'seed' => $question['seed']])->assertOk();
            Contract::holds('POST', '/drills/simulation', $session);
            self::assertSame('what_happened', $question['kind']);
            self::assertSame($this->rightOf($question), $session->json('fault.code'));
            self::assertGreaterThan(2, count($session->json('frames')));
        }
        $this->postJson('/api/drills/simulation', ['kind' => 'will_it_charge', 'seed' => 1])->assertStatus(422)->assertJsonStructure(['errors' => ['kind']]);
    }

    public function test_what_is_no_question_is_refused_by_its_field(): void
    {
        $question = $this->getJson('/api/drills')->json('next');
        foreach ([['kind', ['kind' => 'smell']], ['seed', ['seed' => -1]], ['choice', ['choice' => 'perhaps']]] as [$field, $wrong]) {
            $this->postJson('/api/drills', ['kind' => $question['kind'], 'seed' => $question['seed'], 'choice' => 'charges', ...$wrong])->assertStatus(422)->assertJsonStructure(['errors' => [$field]]);
        }
    }

    /**
     * @param  array<string, mixed>  $question
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function answerTo(array $question, bool $isRight): TestResponse
    {
        $send = fn (string $choice): TestResponse => $this->postJson('/api/drills', ['kind' => $question['kind'], 'seed' => $question['seed'], 'choice' => $choice]);
        $right = $this->rightOf($question);
        $wrong = array_values(array_diff(array_column($question['choices'], 'code'), [$right]));

        return $send($isRight ? $right : $wrong[0]);
    }

    /**
     * Told by somebody else's answer: what is right is a matter of the garage, not of the person.
     *
     * @param  array<string, mixed>  $question
     */
    private function rightOf(array $question): string
    {
        $maker = new \Harmozon\Core\Drills\DrillMaker($this->app->make(\App\Drills\PracticeGarage::class)->garage());

        return $maker->drill(\Harmozon\Core\Drills\DrillKind::from($question['kind']), $question['seed'])?->right()->code ?? '';
    }

    /** @return array{int, int, string|null} */
    private function progress(string $kind): array
    {
        $found = collect($this->getJson('/api/drills')->json('kinds'))->firstWhere('kind', $kind);

        return [$found['asked'], $found['missed'], $found['due_on']];
    }
}
