<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Middleware\BodyLimit;
use App\Imports\ArrivingFile;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** Bodies that are too long, too deep or too wide: told as that, before they are read, and never a breakdown. */
final class BodyTest extends TestCase
{
    use StartsFromSeed;

    public function test_a_body_beyond_its_kind_is_refused_wherever_it_is_sent(): void
    {
        $this->actingAs($this->demoUser());
        $long = json_encode(['name' => str_repeat('x', BodyLimit::JSON)]);
        foreach (['/api/sign-in', '/api/pieces/vehicles', '/api/forecast', '/api/nothing', '/api/logger/readings'] as $path) {
            $this->raw('POST', $path, (string) $long)->assertStatus(413)->assertJsonPath('code', 'app.too_large')->assertJsonPath('message', 'This is larger than 2 MB, the maximum at once. Nothing was saved.');
        }
        // By what it says of itself, without a look at it.
        $this->raw('POST', '/api/fit', '{}', length: 50_000_000)->assertStatus(413);
        $this->raw('PUT', '/api/imports/x/piece', str_repeat('x', ArrivingFile::LARGEST_PIECE + 2), 'application/octet-stream')->assertStatus(413);
        $this->raw('PUT', '/api/imports/x/piece', str_repeat('x', ArrivingFile::LARGEST_PIECE), 'application/octet-stream')->assertNotFound();
        $just = (string) json_encode(['vehicle' => str_repeat('x', BodyLimit::JSON - 14)]);
        self::assertSame(BodyLimit::JSON, strlen($just));
        $this->raw('POST', '/api/fit', $just)->assertStatus(422);
    }

    public function test_what_cannot_be_read_is_told_as_what_it_is(): void
    {
        $this->actingAs($this->demoUser());
        $deep = static fn (int $levels): string => str_repeat('{"a":', $levels).'1'.str_repeat('}', $levels);
        foreach ([
            'app.body_deep' => [$deep(5_000), $deep(64), str_repeat('[', 100_000).str_repeat(']', 100_000)],
            'app.body_malformed' => ['[', '{"a":1,}', "{'a':1}", '{} {}'],
            'app.body_no_object' => ['"text"', 'null', '7', 'true'],
            'app.body_marked' => ["\xef\xbb\xbf{}", "\xff\xfe{\0}\0", "\xfe\xff\0{\0}"],
            'app.body_compressed' => [(string) gzencode('{"a":1}')],
            'app.body_not_utf8' => ["{\"a\":\"\xe9\"}"],
        ] as $code => $bodies) {
            foreach ($bodies as $body) {
                foreach (['/api/fit', '/api/new-car', '/api/sign-in', '/api/nothing'] as $path) {
                    self::assertSame([400, $code], [($said = $this->raw('POST', $path, $body))->getStatusCode(), $said->json('code')], "{$path}: ".substr($body, 0, 20));
                }
            }
        }
        $this->raw('POST', '/api/new-car', $deep(63))->assertOk();
        $this->raw('POST', '/api/sign-out', '')->assertNoContent();
    }

    public function test_what_is_wide_is_refused_by_its_field(): void
    {
        $this->actingAs($this->demoUser());
        $wide = (string) json_encode(['inlets' => array_fill(0, 3_000, ['coupler' => 'ccs1'])]);
        foreach (['/api/fit', '/api/forecast', '/api/pieces/vehicles', '/api/sessions', '/api/sign-in'] as $path) {
            $this->raw('POST', $path, $wide)->assertUnprocessable()->assertJsonStructure(['errors']);
        }
    }

    /** @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function raw(string $method, string $path, string $body, string $type = 'application/json', ?int $length = null): \Illuminate\Testing\TestResponse
    {
        return $this->call($method, $path, [], [], [], ['CONTENT_TYPE' => $type, 'HTTP_ACCEPT' => 'application/json', 'HTTP_CONTENT_LENGTH' => (string) ($length ?? strlen($body)), 'CONTENT_LENGTH' => (string) ($length ?? strlen($body))], $body);
    }
}
