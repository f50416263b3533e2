<?php

declare(strict_types=1);

namespace Tests\Feature;

use Harmozon\Core\Case\CaseReader;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Tests\Case\CaseReaderTest;
use Harmozon\Core\Tests\Cases;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** The shipped JSON Schema and the reader say the same of a case file. */
#[Group('once')]
final class CaseSchemaTest extends TestCase
{
    /** What only the reader can see: one field against another. */
    private const BEYOND_A_SCHEMA = [
        'boost below continuous', 'boost without minutes', 'the same id twice', 'a curve that goes back', 'an adapter named as the car', 'an adapter named as the inlet', 'an adapter named as the outlet', 'an attached adapter named as the car', 'an attached adapter that is in the kit', 'a window upside down', 'a target below the arrival', 'bands that go back',
    ];

    public function test_both_accept_what_is_right(): void
    {
        foreach ([(string) file_get_contents(__DIR__.'/../../docs/example.case.json'), (string) json_encode(Cases::file(adapters: [[]]))] as $json) {
            self::assertTrue(self::schemaAccepts($json));
            self::assertTrue(self::readerAccepts($json));
        }
    }

    public function test_both_refuse_what_is_wrong(): void
    {
        $schemaLets = [];
        foreach (CaseReaderTest::faults() as $name => [$path, $value]) {
            $json = (string) json_encode(Cases::changed(Cases::file(adapters: [[]]), [$path => $value]));
            self::assertFalse(self::readerAccepts($json), $name);
            if (self::schemaAccepts($json)) {
                $schemaLets[] = $name;
            }
        }
        self::assertEqualsCanonicalizing(self::BEYOND_A_SCHEMA, $schemaLets);
    }

    private static function schemaAccepts(string $json): bool
    {
        $validator = new Validator;
        $schema = json_decode((string) file_get_contents(__DIR__.'/../../public/schema/case.schema.json'), false, 512, JSON_THROW_ON_ERROR);

        return $validator->validate(json_decode($json, false, 512, JSON_THROW_ON_ERROR), $schema)->isValid();
    }

    private static function readerAccepts(string $json): bool
    {
        try {
            (new CaseReader)->json($json);
        } catch (FieldError) {
            return false;
        }

        return true;
    }
}
