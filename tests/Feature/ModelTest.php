<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** docs/model.md holds every figure of the core, as the code has it. */
#[Group('once')]
final class ModelTest extends TestCase
{
    private const CORE = 'Harmozon\\Core\\';

    public function test_every_figure_of_the_core_is_in_the_table_as_it_is_in_the_code(): void
    {
        $written = array_map(static fn (array $row): mixed => json_decode($row[0], true), self::rows());
        $known = self::constants();

        self::assertSame([], array_keys(array_diff_key($known, $written)), 'not in docs/model.md');
        self::assertSame([], array_keys(array_diff_key($written, $known)), 'in docs/model.md, but no figure of the code');
        foreach ($known as $name => $value) {
            // 10 is 10.0; a figure is written with all of its digits.
            self::assertEquals($value, $written[$name], $name);
        }
    }

    public function test_every_figure_has_a_unit_and_a_source(): void
    {
        foreach (self::rows() as $name => [, $unit, $source]) {
            self::assertNotSame('', $unit, $name);
            self::assertGreaterThan(3, strlen($source), $name);
        }
    }

    /** @return array<string, array{string, string, string}> value, unit and source by name, each named once */
    private static function rows(): array
    {
        $text = (string) file_get_contents(dirname(__DIR__, 2).'/docs/model.md');
        preg_match_all('/^\| `([\w\\\\]+::\w+)` \| (.*?) \| (.*?) \| (.*?) \|$/m', $text, $found, PREG_SET_ORDER);
        $rows = [];
        foreach ($found as [, $name, $value, $unit, $source]) {
            self::assertArrayNotHasKey($name, $rows, 'named twice');
            $rows[$name] = [$value, $unit, $source];
        }

        return $rows;
    }

    /** @return array<string, mixed> numbers, and lists with numbers in them, by room, class and name */
    private static function constants(): array
    {
        $root = dirname(__DIR__, 2).'/core/src/';
        $constants = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS)) as $file) {
            $class = self::CORE.strtr(substr((string) $file, strlen($root), -strlen('.php')), '/', '\\');
            if (! class_exists($class) && ! interface_exists($class)) {
                continue;
            }
            foreach ((new \ReflectionClass($class))->getReflectionConstants() as $constant) {
                $value = $constant->getValue();
                $leaves = [];
                $list = [$value];
                array_walk_recursive($list, static function (mixed $leaf) use (&$leaves): void {
                    $leaves[] = $leaf;
                });
                if ($constant->getDeclaringClass()->getName() === $class && array_filter($leaves, static fn (mixed $leaf): bool => is_int($leaf) || is_float($leaf)) !== []) {
                    $constants[substr($class, strlen(self::CORE)).'::'.$constant->getName()] = $value;
                }
            }
        }

        return $constants;
    }
}
