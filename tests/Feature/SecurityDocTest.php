<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** What docs/security.md says holds a promise is there. */
#[Group('once')]
final class SecurityDocTest extends TestCase
{
    public function test_every_test_that_is_named_exists(): void
    {
        $root = dirname(__DIR__, 2);
        $text = (string) file_get_contents("{$root}/docs/security.md");
        $files = [];
        foreach (Finder::create()->files()->in(["{$root}/tests", "{$root}/core/tests"])->name(['*Test.php', '*.spec.ts', '*.test.ts']) as $file) {
            $files[$file->getBasename('.php')] = $file->getContents();
        }
        $named = preg_match_all('/`(\w+Test|[\w.]+\.(?:spec|test)\.ts)(?:::(test_\w+))?`/', $text, $found, PREG_SET_ORDER | PREG_UNMATCHED_AS_NULL);
        self::assertGreaterThan(50, $named);
        foreach ($found as [$told, $class, $method]) {
            self::assertArrayHasKey($class, $files, $told);
            if ($method !== null) {
                self::assertStringContainsString("function {$method}(", $files[$class], $told);
            }
        }
    }

    public function test_every_line_of_the_standard_names_a_test_or_is_not_used(): void
    {
        $lines = preg_grep('/^\| V\d/', file(dirname(__DIR__, 2).'/docs/security.md', FILE_IGNORE_NEW_LINES) ?: []) ?: [];
        self::assertGreaterThan(35, count($lines));
        foreach ($lines as $line) {
            self::assertMatchesRegularExpression('/not used|`\w+(Test|\.(spec|test)\.ts)/', $line);
        }
    }
}
