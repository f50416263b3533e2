<?php

declare(strict_types=1);

namespace Tests\Feature;

use Harmozon\Core\Tests\Words\Sources;
use PhpParser\Node\FunctionLike;
use PhpParser\Node\Stmt\ClassMethod;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** Nothing is built from a long row of values: they are grouped into parts that mean something. */
#[Group('once')]
final class SignaturesTest extends TestCase
{
    private const MOST_PARAMETERS = 8;

    #[DataProvider('folders')]
    public function test_no_function_takes_more_than_eight_values(string $folder): void
    {
        $sources = Sources::below(dirname(__DIR__, 2).'/'.$folder);
        $wide = [];
        foreach ($sources->all(FunctionLike::class) as [$path, $function]) {
            if (count($function->getParams()) > self::MOST_PARAMETERS) {
                $wide[] = $path.': '.($function instanceof ClassMethod ? $function->name->toString() : 'a function').' takes '.count($function->getParams());
            }
        }

        self::assertGreaterThan(20, count($sources->files));
        self::assertSame([], $wide);
    }

    /** @return iterable<string, array{string}> */
    public static function folders(): iterable
    {
        yield 'the core' => ['core/src'];
        yield 'the application' => ['app'];
    }
}
