<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** Exact versions of everything that is installed, packages of packages too. */
#[Group('once')]
final class PinsTest extends TestCase
{
    public function test_what_is_installed_is_what_is_pinned(): void
    {
        $check = new Process([PHP_BINARY, 'build/pins.php', 'check'], dirname(__DIR__, 2));
        self::assertSame(0, $check->run(), $check->getErrorOutput());
        $pins = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/composer.pins.json'), true);
        self::assertArrayHasKey('symfony/http-foundation', $pins, 'a package of a package');
        foreach ($pins as $name => $version) {
            self::assertMatchesRegularExpression('/^\d+(\.\d+)+/', $version, $name);
        }
    }

    public function test_another_version_is_told_by_its_name(): void
    {
        $root = sys_get_temp_dir().'/harmozon-pins-'.bin2hex(random_bytes(6));
        mkdir("{$root}/build", recursive: true);
        mkdir("{$root}/vendor/composer", recursive: true);
        copy(dirname(__DIR__, 2).'/build/pins.php', "{$root}/build/pins.php");
        file_put_contents("{$root}/composer.pins.json", '{"a/one": "1.2.3", "b/gone": "1.0.0"}');
        file_put_contents("{$root}/vendor/composer/installed.json", '{"packages": [{"name": "a/one", "version": "v1.2.4"}, {"name": "c/more", "version": "2.0.0"}, {"name": "harmozon/core", "version": "1.0.0"}]}');
        $check = new Process([PHP_BINARY, 'build/pins.php', 'check'], $root);

        self::assertSame(1, $check->run());
        self::assertSame("a/one: pinned 1.2.3, installed 1.2.4\nb/gone: pinned 1.0.0, installed not at all\nc/more: pinned not at all, installed 2.0.0\n", $check->getErrorOutput());
        array_map(unlink(...), ["{$root}/build/pins.php", "{$root}/composer.pins.json", "{$root}/vendor/composer/installed.json"]);
        array_map(rmdir(...), ["{$root}/vendor/composer", "{$root}/vendor", "{$root}/build", $root]);
    }
}
