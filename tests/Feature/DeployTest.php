<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\Group;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Process\Process;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** What `./harmozon serve` would do, without doing it. deploy/try.sh does it in a machine of its own. */
#[Group('once')]
final class DeployTest extends TestCase
{
    use StartsFromSeed;

    private string $places;

    protected function setUp(): void
    {
        parent::setUp();
        $this->places = sys_get_temp_dir().'/harmozon-served-'.bin2hex(random_bytes(6));
    }

    public function test_a_dry_run_says_what_it_would_do_and_does_nothing(): void
    {
        $told = $this->serve('--url=https://charge.example', '--dry-run');

        self::assertSame(0, $told->getExitCode(), $told->getErrorOutput());
        foreach (["{$this->places}/data (700", "{$this->places}/data/env (0600: APP_URL=https://charge.example, demo off", 'to '.$this->places.'/code/releases/', '/site.conf', '/fpm.conf', 'Nothing was changed.'] as $words) {
            self::assertStringContainsString($words, $told->getOutput());
        }
        self::assertDirectoryDoesNotExist($this->places);
    }

    public function test_what_it_cannot_use_is_refused_by_its_option(): void
    {
        foreach ([
            ['--url', ['--url=ftp://charge.example']], ['--url', []], ['--url', ['--url=https://charge.example/path']], ['--port', ['--url=https://a.example', '--port=70000']],
            ['--cert', ['--url=https://a.example', '--cert=/etc/hostname']], ['/nowhere/key', ['--url=https://a.example', '--cert=/etc/hostname', '--key=/nowhere/key']], ['--cert', ['--url=https://a.example', '--plain', '--cert=/etc/hostname', '--key=/etc/hostname']], ['--speed', ['--speed=9']],
        ] as [$named, $options]) {
            $told = $this->serve(...[...$options, '--dry-run']);
            self::assertSame(1, $told->getExitCode(), $named);
            self::assertStringContainsString($named, $told->getErrorOutput());
        }
        self::assertDirectoryDoesNotExist($this->places);
    }

    /** One rule in two languages: nginx puts on files what the application puts on its answers. */
    public function test_files_of_the_page_carry_the_headers_of_its_answers(): void
    {
        $answer = $this->get('/sign-in')->assertOk();
        preg_match_all('/^add_header (\S+) "?(.+?)"? always;$/m', self::shipped('nginx/headers.conf'), $found, PREG_SET_ORDER);

        $same = array_filter($found, static fn (array $f): bool => $f[1] !== 'X-Request-Id');
        self::assertSame([6, 5], [count($found), count($same)]);
        foreach ($same as [, $name, $value]) {
            self::assertSame($answer->headers->get($name), $value, $name);
        }
    }

    public function test_every_place_in_the_shipped_files_is_filled_in(): void
    {
        $script = self::shipped('serve.sh');
        foreach (Finder::create()->files()->in(base_path('deploy'))->name(['*.conf', '*.ini', '*.service', '*.timer']) as $file) {
            preg_match_all('/@([A-Z]+)@/', $file->getContents(), $names);
            foreach ($names[1] as $name) {
                self::assertMatchesRegularExpression("/\\[{$name}\\]=/", $script, $file->getFilename());
            }
        }
        foreach (['serve.sh', 'steps.sh', 'stand.sh', 'try.sh'] as $name) {
            self::assertSame('', (new Process(['bash', '-n', "deploy/{$name}"], base_path()))->mustRun()->getErrorOutput());
        }
    }

    private function serve(string ...$options): Process
    {
        $process = new Process(['deploy/serve.sh', "--code={$this->places}/code", "--data={$this->places}/data", ...$options], base_path());
        $process->run();

        return $process;
    }

    private static function shipped(string $name): string
    {
        return (string) file_get_contents(base_path("deploy/{$name}"));
    }
}
