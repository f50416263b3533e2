<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ChargeSession;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use Smalot\PdfParser\Document;
use Smalot\PdfParser\Parser;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** A report on paper says what the report on the screen says, in letters that can be selected. */
#[Group('once')]
final class PrintTest extends TestCase
{
    use StartsFromSeed;

    private User $user;

    protected function setUp(): void
    {
        parent::setUp();
        $this->user = $this->demoUser();
        $this->actingAs($this->user);
    }

    #[Group('slow')]
    public function test_every_figure_of_the_demos_reports_stands_on_paper(): void
    {
        foreach ($this->unlike() as $id) {
            $report = $this->getJson("/api/sessions/{$id}")->assertOk()->json();
            $text = self::text($this->pdf($id));
            $expected = [
                $report['session']['vehicle']['name'].' at '.$report['session']['outlet']['name'],
                $report['session']['verdict'] === null ? 'Not finished yet' : $report['judgement']['verdict_words'],
                $report['review']['headline'], ...$report['review']['proof'], ...$report['judgement']['findings'], ...$report['chain']['cautions'],
                'Ratings check', 'Instruments', 'Cautions', "What this doesn't prove", 'outrank this sheet',
            ];
            foreach ($report['judgement']['plate_check'] as $row) {
                $expected[] = $row['name'];
                $expected[] = (string) $row['minutes_words'];
                if ($row['peak'] !== null && $row['quantity'] === 'a' && $row['peak'] > 0) {
                    $expected[] = ($row['peak'] >= 100 ? number_format($row['peak'], 0) : number_format($row['peak'], 1)).' A, '.$row['provenance'];
                }
            }
            foreach (array_slice($report['judgement']['held_back_by'], 0, 6) as $held) {
                $expected[] = $held['evidence'];
                $expected[] = $held['try_next'];
            }
            foreach ($expected as $words) {
                self::assertStringContainsString(self::squeezed((string) $words), $text, $id);
            }
        }
    }

    public function test_curves_are_drawn_whole_or_dashed_in_numbers(): void
    {
        $id = $this->unlike()[0];
        preg_match_all('/stream\r?\n(.*?)endstream/s', $this->pdf($id), $streams);
        $drawn = implode("\n", array_map(static fn (string $s): string => (string) @zlib_decode($s), $streams[1]));
        preg_match_all('/\[([^]]*)\] \S+ d\b/', $drawn, $dashes);

        $patterns = array_unique(array_map(trim(...), $dashes[1]));
        self::assertContains('', $patterns, 'what was measured');
        self::assertSame([], array_values(array_filter($patterns, static fn (string $p): bool => preg_match('/^[\d. ]*$/', $p) !== 1)), 'a reader may leave out a line whose dashes are no numbers');
        self::assertGreaterThan(1, count($patterns), 'what was forecast');
    }

    public function test_the_paper_is_the_one_that_was_asked_for_and_every_font_is_in_it(): void
    {
        $id = $this->inside($this->user, static fn (): string => ChargeSession::query()->firstOrFail()->ulid);
        $size = static fn (Document $d): array => array_map(static fn (mixed $n): int => (int) round((float) $n), array_slice($d->getPages()[0]->getDetails()['MediaBox'], 2));

        self::assertSame([612, 792], $size($this->parsed($this->pdf($id, 'letter'))));
        $a4 = $this->parsed($this->pdf($id, 'a4'));
        self::assertSame([595, 842], $size($a4));
        DB::table('garages')->where('id', $this->user->garage_id)->update(['units' => 'us']);
        $this->actingAs($this->user->refresh());
        self::assertSame([612, 792], $size($this->parsed($this->pdf($id))));
        // Charts too: no figure is left in the other units.
        $texts = array_map(fn (string $one): string => self::text($this->pdf($one)), $this->unlike());
        self::assertStringContainsString('°F', implode(' ', $texts));
        self::assertStringNotContainsString('°C', implode(' ', $texts));
        $bytes = $this->pdf($id);
        $named = preg_match_all('#/BaseFont /([A-Za-z0-9+-]+)#', $bytes, $fonts);
        self::assertGreaterThan(0, $named);
        foreach ($fonts[1] as $font) {
            self::assertMatchesRegularExpression('/^[A-Z]{6}\+DejaVuSans/', $font);
        }
        self::assertSame(2, preg_match_all('#/FontFile2 #', $bytes));
        $this->getJson("/api/sessions/{$id}/report.pdf?paper=parchment")->assertStatus(422)->assertJsonStructure(['errors' => ['paper']]);
        $this->actingAs($this->stranger())->getJson("/api/sessions/{$id}/report.pdf")->assertNotFound();
    }

    /** @return list<string> sessions of the demo, one of each chain, verdict and set of causes */
    private function unlike(): array
    {
        return $this->inside($this->user, static fn (): array => ChargeSession::query()->join('session_facts', 'charge_session_id', 'charge_sessions.id')->get()
            ->unique(static fn (ChargeSession $s): string => json_encode([$s->outlet_id, $s->chain_adapters, $s->verdict, json_decode((string) $s->getAttribute('facts'), true)['causes']], JSON_THROW_ON_ERROR))
            ->map(static fn (ChargeSession $s): string => $s->ulid)->values()->all());
    }

    public function test_an_empty_session_and_one_of_odd_names_are_printed_too(): void
    {
        $id = $this->inside($this->user, static function (): string {
            $copy = ChargeSession::query()->firstOrFail()->replicate(['ulid', 'verdict', 'summary', 'finished_at']);
            $pieces = $copy->pieces;
            $pieces['vehicle']['name'] = "<b>Žebříňák</b> & \u{1F697} ".str_repeat('long ', 20);
            $copy->pieces = $pieces;
            $copy->note = str_repeat("A line of the note.\n", 49);
            $copy->save();

            return $copy->ulid;
        });
        $text = self::text($this->pdf($id));

        self::assertStringContainsString(self::squeezed('<b>Žebříňák</b> &'), $text);
        self::assertStringContainsString(self::squeezed('Not finished yet'), $text);
        // No page speaks of the library that made it.
        self::assertDoesNotMatchRegularExpression('/dompdf|cpdf/i', $this->pdf($id));
        // One reading draws no line, and breaks nothing.
        $this->inside($this->user, static fn () => ChargeSession::query()->where('ulid', $id)->firstOrFail()->readings()->create(['client_id' => 'one', 't_ms' => 5000, 'kw' => 40, 'amps' => 100, 'adapter_c' => 20]));
        self::assertStringContainsString(self::squeezed('40 kW'), self::text($this->pdf($id)));
        self::assertSame(49, substr_count($text, self::squeezed('A line of the note.')));
    }

    private function pdf(string $id, ?string $paper = null): string
    {
        $response = $this->get("/api/sessions/{$id}/report.pdf".($paper === null ? '' : "?paper={$paper}"))->assertOk()->assertHeader('Content-Type', 'application/pdf');

        return (string) $response->getContent();
    }

    private function parsed(string $pdf): Document
    {
        return (new Parser)->parseContent($pdf);
    }

    private static function text(string $pdf): string
    {
        return self::squeezed((new Parser)->parseContent($pdf)->getText());
    }

    /** Lines are broken where the paper ends. */
    private static function squeezed(string $text): string
    {
        return (string) preg_replace('/\s+/u', '', $text);
    }
}
