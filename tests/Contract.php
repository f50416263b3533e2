<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Assert;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\Yaml\Yaml;

/** Holds real requests and responses against the OpenAPI document. */
final class Contract
{
    /** @var array<string, mixed>|null */
    private static ?array $document = null;

    private static ?Validator $validator = null;

    /** @var array<string, object> schemas as the validator takes them, by what they are of */
    private static array $schemas = [];

    /** @return array<string, mixed> */
    public static function document(): array
    {
        return self::$document ??= Yaml::parseFile(dirname(__DIR__).'/docs/openapi.yaml');
    }

    /** @param  TestResponse<\Symfony\Component\HttpFoundation\Response>  $response */
    public static function holds(string $method, string $path, TestResponse $response): void
    {
        $status = (string) $response->getStatusCode();
        $operation = self::document()['paths'][$path][strtolower($method)] ?? null;
        Assert::assertNotNull($operation, "{$method} {$path} is not described");
        self::holdsRequest("{$method} {$path}", $operation, self::document()['paths'][$path], $response);
        $described = $operation['responses'][$status] ?? null;
        $content = $response->baseResponse instanceof StreamedResponse ? $response->streamedContent() : (string) $response->getContent();
        Assert::assertNotNull($described, "{$method} {$path} answered {$status}, which is not described: {$content}");
        if (isset($described['$ref'])) {
            $described = self::document()['components']['responses'][basename($described['$ref'])];
        }
        $schema = $described['content']['application/json']['schema'] ?? null;
        if ($schema === null) {
            Assert::assertSame('', $content);

            return;
        }
        self::matches("{$method} {$path} {$status}", $schema, json_decode($content, false, 512, JSON_THROW_ON_ERROR));
    }

    /**
     * What was accepted is described: its fields, and what stands behind the question mark.
     *
     * @param  array<string, mixed>  $operation
     * @param  array<string, mixed>  $item  the path, whose parameters all its operations share
     * @param  TestResponse<\Symfony\Component\HttpFoundation\Response>  $response
     */
    private static function holdsRequest(string $what, array $operation, array $item, TestResponse $response): void
    {
        $request = $response->baseRequest;
        if ($request === null || ! $response->isSuccessful()) {
            return;
        }
        $described = [];
        foreach ([...($item['parameters'] ?? []), ...($operation['parameters'] ?? [])] as $parameter) {
            $parameter = isset($parameter['$ref']) ? self::document()['components']['parameters'][basename($parameter['$ref'])] : $parameter;
            $described[] = $parameter['in'] === 'query' ? preg_replace('/\[\]$/', '', $parameter['name']) : null;
        }
        Assert::assertSame([], array_values(array_diff(array_keys($request->query->all()), $described)), "{$what}: parameters that are not described");
        $sent = $request->isJson() ? $request->getContent() : '';
        $schema = $operation['requestBody']['content']['application/json']['schema'] ?? null;
        if ($sent === '' || ($sent === '[]' && $schema === null)) {
            return;
        }
        Assert::assertNotNull($schema, "{$what}: a body is sent, and none is described: {$sent}");
        // The tests' own client writes an object without fields as a list.
        self::matches("{$what} is sent", $schema, $sent === '[]' ? new \stdClass : json_decode($sent, false, 512, JSON_THROW_ON_ERROR));
    }

    /** @param  array<string, mixed>  $schema */
    private static function matches(string $what, array $schema, mixed $value): void
    {
        self::$schemas[$what] ??= json_decode((string) json_encode(self::absolute($schema)), false);
        $error = self::validator()->validate($value, self::$schemas[$what])->error();
        Assert::assertTrue($error === null, $error === null ? '' : "{$what}: ".json_encode((new ErrorFormatter)->format($error), JSON_PRETTY_PRINT));
    }

    /** One for all tests of a process: it reads each schema once. */
    private static function validator(): Validator
    {
        if (self::$validator === null) {
            self::$validator = new Validator;
            self::$validator->resolver()?->registerRaw(
                (string) json_encode(['$id' => 'https://harmozon.example/api', 'components' => self::absolute(self::document()['components'])]), 'https://harmozon.example/api',
            );
        }

        return self::$validator;
    }

    /** References inside the document, made absolute so that a schema can stand alone. */
    private static function absolute(mixed $schema): mixed
    {
        if (! is_array($schema)) {
            return $schema;
        }
        foreach ($schema as $key => $value) {
            $schema[$key] = $key === '$ref' && is_string($value) ? 'https://harmozon.example/api'.$value : self::absolute($value);
        }

        return $schema;
    }
}
