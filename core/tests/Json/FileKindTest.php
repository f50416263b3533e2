<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Json;

use Harmozon\Core\Json\FileKind;
use Harmozon\Core\Ocpi\FilePlace;
use Harmozon\Core\Ocpi\LocationsReader;
use Harmozon\Core\Readings\ReadingsReader;
use Harmozon\Core\Tests\Say;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A file of another kind is named for what it is. */
final class FileKindTest extends TestCase
{
    /** @return iterable<string, array{string, string|null}> */
    public static function files(): iterable
    {
        yield 'a picture' => ["\x89PNG\r\n\x1a\n...", 'a picture'];
        yield 'a photograph' => ["\xFF\xD8\xFF\xE0", 'a picture'];
        yield 'a PDF' => ['%PDF-1.7', 'a PDF'];
        yield 'an archive' => ["PK\x03\x04", 'an archive'];
        yield 'tariffs' => ['{"data": [{"id": "T1", "currency": "EUR", "elements": []}]}', 'a file of OCPI tariffs'];
        yield 'charge records' => ['[{"id": "C1", "charging_periods": []}]', 'a file of OCPI charge records'];
        yield 'locations' => ['[{"id": "L1", "evses": []}]', 'a file of OCPI locations'];
        yield 'a case' => ['{"format": "harmozon/case", "vehicle": {}}', 'a case file'];
        yield 'readings' => ["t_s,kw\n0,1\n10,2", 'a table, such as readings of a session (CSV)'];
        yield 'prose' => ["Dear all,\nsee below.\n", null];
        yield 'nothing' => ['', null];
        yield 'the beginning of a case' => ["{\n  \"vehicle\": {\n", 'a case file'];
        yield 'the beginning of nothing we know' => ["{\n  \"a\": {\n", null];
        yield 'a document of nobody' => ['{"a": 1}', null];
    }

    #[DataProvider('files')]
    public function test_it_says_what_a_file_is(string $content, ?string $kind): void
    {
        $found = FileKind::of($content);
        self::assertSame($kind ?? '', rtrim(Say::it($found?->message()), '.'));
    }

    public function test_a_picture_or_a_document_is_no_file_of_readings_and_a_table_may_be(): void
    {
        $read = static fn (string $content): string => Say::refusal(static fn () => iterator_to_array((new ReadingsReader)->read(explode("\n", $content))));

        self::assertStringContainsString('This is a PDF, not a file of readings.', $read("%PDF-1.4\n1 0 obj\n<<>>\nendobj\n"));
        self::assertStringContainsString('This is a picture, not a file of readings.', $read("\x89PNG\r\n\x1a\n\0\0"));
        self::assertStringContainsString('This is a file of OCPI tariffs, not a file of readings.', $read('[{"id": "T1", "elements": []}]'));
        self::assertStringContainsString('the header needs a column', $read("a,b\n1,2\n3,4\n"));
    }

    public function test_a_file_of_places_refuses_others_by_name_and_leaves_out_what_is_no_place(): void
    {
        $reader = new LocationsReader(Say::voice());
        self::assertStringContainsString('This is a file of OCPI tariffs, not a file of OCPI locations. Nothing was taken from it.', Say::refusal(static fn () => $reader->read('[{"id": "T1", "currency": "EUR", "elements": []}]')));
        $file = $reader->read('[{"id": "L1", "name": "Hidden", "publish": false, "evses": [{}]}, {"id": "L2", "name": "Bare", "evses": []}, {"id": "L3", "name": "Shown", "publish": "yes", "evses": [{}]}]');
        self::assertSame(
            ['Hidden is left out: its network does not publish it', 'Bare is left out: it has no stalls', ''],
            array_map(static fn (FilePlace $p): string => Say::it($p->whyNot), $file->places),
        );
    }
}
