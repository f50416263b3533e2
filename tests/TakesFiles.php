<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Testing\TestResponse;

/** Readings files, from the first piece to the last row; what is left of them goes with the test. */
trait TakesFiles
{
    protected function tearDownTakesFiles(): void
    {
        $kept = glob(storage_path('app/imports/*.csv'));
        foreach ($kept === false ? [] : $kept as $path) {
            unlink($path);
        }
    }

    /** @return string the import's id: its file has come, and nothing of it is taken */
    private function arriveIn(string $session, string $text, string $name = 'readings.csv'): string
    {
        $id = (string) $this->postJson("/api/sessions/{$session}/imports", ['name' => $name, 'bytes' => strlen($text)])->assertCreated()->json('id');
        $this->piece($id, 0, $text)->assertOk();

        return $id;
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function takeInto(string $session, string $text): TestResponse
    {
        return $this->postJson('/api/imports/'.$this->arriveIn($session, $text).'/start')->assertOk();
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function piece(string $id, int $from, string $bytes): TestResponse
    {
        return $this->call('PUT', "/api/imports/{$id}/piece?from={$from}", [], [], [], ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json'], $bytes);
    }
}
