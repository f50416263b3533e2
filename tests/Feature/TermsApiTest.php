<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** What the page shows and does not know: names, plates as lines, links of a chain. */
final class TermsApiTest extends TestCase
{
    use StartsFromSeed;

    public function test_every_word_an_answer_uses_has_a_name(): void
    {
        $this->actingAs($this->demoUser());
        $response = $this->getJson('/api/terms')->assertOk();
        Contract::holds('GET', '/terms', $response);
        $ids = array_map(static fn (array $set): array => array_column($set, 'id'), $response->json('sets'));

        $board = $this->getJson('/api/board')->assertOk()->json();
        foreach (array_unique(array_column($board['cells'], 'outcome')) as $outcome) {
            self::assertContains($outcome, $ids['outcome']);
        }
        foreach ($this->getJson('/api/sessions')->assertOk()->json('sessions') as $line) {
            $report = $this->getJson("/api/sessions/{$line['id']}")->assertOk()->json();
            self::assertContains($report['judgement']['verdict'], $ids['verdict']);
            self::assertSame([], array_diff(array_column($report['judgement']['plate_check'], 'state'), $ids['plate_state']));
            self::assertSame([], array_diff(array_column($report['chain']['gates'], 'gate'), $ids['gate']));
            self::assertSame([], array_diff(array_column($report['chain']['links'], 'kind'), $ids['link_kind']));
        }
    }

    public function test_every_piece_comes_with_the_lines_of_its_plates(): void
    {
        $this->actingAs($this->demoUser());
        $garage = $this->getJson('/api/garage')->assertOk()->json();
        $outlets = array_merge(...array_column($garage['places'], 'outlets'));
        $plates = $this->getJson('/api/garage/plates')->assertOk();
        Contract::holds('GET', '/garage/plates', $plates);

        self::assertNotEmpty($outlets);
        self::assertEqualsCanonicalizing(array_column($outlets, 'id'), array_keys($plates->json('outlets')));
        foreach ([...array_column([...$garage['vehicles'], ...$garage['adapters']], 'lines', 'name'), ...$plates->json('outlets')] as $name => $lines) {
            self::assertNotEmpty($lines, $name);
            self::assertNotContains('', $lines, $name);
        }
        foreach ($garage['vehicles'] as $vehicle) {
            self::assertCount(1 + count($vehicle['spec']['inlets']), $vehicle['lines'], 'the pack, and each inlet');
        }
    }

    public function test_an_answer_names_its_links_and_speaks_the_units_of_its_garage(): void
    {
        $user = $this->demoUser();
        $this->actingAs($user);
        $garage = $this->getJson('/api/garage')->json();
        $withCable = array_filter(array_merge(...array_column($garage['places'], 'outlets')), static fn (array $o): bool => isset($o['spec']['cable']['length_m']));
        $question = ['outlet' => array_values($withCable)[0]['id'], 'vehicle' => $garage['vehicles'][0]['id'], 'adapters' => null, 'kit' => 'own', 'exact' => false, 'policy' => 'certified'];
        $answered = function (string $units) use ($user, $question): array {
            $this->putJson('/api/garage/habits', ['units' => $units])->assertNoContent();

            return $this->actingAs($user->refresh())->postJson('/api/fit', $question)->assertOk()->json();
        };
        [$us, $metric] = [$answered('us'), $answered('metric')];

        self::assertSame($question['outlet'], $us['outlet']);
        self::assertSame($question['vehicle'], $us['vehicle']);
        self::assertSame('outlet', $us['links'][0]['kind']);
        self::assertSame('pack', $us['links'][count($us['links']) - 1]['kind']);
        self::assertSame(array_column($us['gates'], 'code'), array_column($metric['gates'], 'code'));
        $said = static fn (array $answer): string => implode(' ', array_column($answer['gates'], 'reason'));
        self::assertMatchesRegularExpression('/\d ft\b/', $said($us));
        self::assertMatchesRegularExpression('/\d m\b/', $said($metric));
        self::assertDoesNotMatchRegularExpression('/\d ft\b|°F/', $said($metric));
    }
}
