<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Filesystem\Filesystem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Seed;

/** A backup of a house of its own, by the commands that people run. */
#[Group('slow')]
#[Group('sqlite')]
final class BackupTest extends TestCase
{
    private string $house;

    protected function setUp(): void
    {
        $this->house = sys_get_temp_dir().'/harmozon-house-'.bin2hex(random_bytes(6));
        foreach (['app/private/photos', 'app/imports', 'framework/views', 'framework/cache/data', 'logs'] as $folder) {
            mkdir("{$this->house}/storage/{$folder}", 0700, true);
        }
        Seed::Demo->writeTo("{$this->house}/database.sqlite");
        file_put_contents("{$this->house}/storage/app/private/photos/one.jpg", 'a picture');
        file_put_contents("{$this->house}/storage/app/imports/two.csv", "t_s,kw\n0,50\n");
    }

    protected function tearDown(): void
    {
        (new Filesystem)->deleteDirectory($this->house);
    }

    public function test_everything_comes_back_and_what_was_replaced_is_kept(): void
    {
        $backup = $this->backup();
        self::assertSame('600', decoct(fileperms($backup) & 0777));
        $this->sql("update garages set name = 'Changed'; delete from readings");
        file_put_contents("{$this->house}/storage/app/private/photos/one.jpg", 'another');
        file_put_contents("{$this->house}/storage/app/private/photos/later.jpg", 'later');
        unlink("{$this->house}/storage/app/imports/two.csv");

        $restored = $this->artisan('harmozon:restore', $backup);
        self::assertSame(0, $restored->getExitCode(), $restored->getOutput().$restored->getErrorOutput());
        self::assertSame(0, $this->rows("garages where name = 'Changed'"));
        self::assertGreaterThan(800, $this->rows('readings'));
        self::assertSame(['a picture', "t_s,kw\n0,50\n"], [file_get_contents("{$this->house}/storage/app/private/photos/one.jpg"), file_get_contents("{$this->house}/storage/app/imports/two.csv")]);
        self::assertFileDoesNotExist("{$this->house}/storage/app/private/photos/later.jpg");

        preg_match('#\S+before-restoring\S+\.zip#', $restored->getOutput(), $before);
        self::assertSame(0, $this->artisan('harmozon:restore', $before[0] ?? '')->getExitCode());
        self::assertGreaterThan(0, $this->rows("garages where name = 'Changed'"));
        self::assertSame(0, $this->rows('readings'));
        self::assertSame('later', file_get_contents("{$this->house}/storage/app/private/photos/later.jpg"));
    }

    public function test_it_comes_into_a_house_where_there_is_nothing_yet(): void
    {
        $backup = $this->backup();
        rename($backup, "{$this->house}/kept.zip");
        array_map(unlink(...), (array) glob("{$this->house}/database.sqlite*"));
        foreach (['app/private', 'app/imports', 'backups'] as $folder) {
            (new Filesystem)->deleteDirectory("{$this->house}/storage/{$folder}");
        }
        $restored = $this->artisan('harmozon:restore', "{$this->house}/kept.zip");

        self::assertSame(0, $restored->getExitCode(), $restored->getOutput().$restored->getErrorOutput());
        self::assertGreaterThan(800, $this->rows('readings'));
        self::assertFileExists("{$this->house}/storage/app/private/photos/one.jpg");
    }

    /** @param  callable(\ZipArchive): mixed  $spoil */
    #[DataProvider('faults')]
    public function test_what_is_damaged_or_newer_is_refused_and_nothing_changes(callable $spoil, string $words): void
    {
        $backup = $this->backup();
        $zip = new \ZipArchive;
        $zip->open($backup);
        $spoil($zip);
        $zip->close();
        $this->sql("update garages set name = 'Changed'");
        $refused = $this->artisan('harmozon:restore', $backup);

        self::assertSame(2, $refused->getExitCode());
        self::assertStringContainsString($words, $refused->getOutput().$refused->getErrorOutput());
        self::assertGreaterThan(0, $this->rows("garages where name = 'Changed'"));
        self::assertSame('a picture', file_get_contents("{$this->house}/storage/app/private/photos/one.jpg"));
        self::assertSame([], glob("{$this->house}/storage/framework/backup-*"));
    }

    /** @return iterable<string, array{callable(\ZipArchive): mixed, string}> */
    public static function faults(): iterable
    {
        $manifest = static fn (callable $change): callable => static function (\ZipArchive $zip) use ($change): void {
            $said = json_decode((string) $zip->getFromName('manifest.json'), true);
            $zip->addFromString('manifest.json', (string) json_encode($change($said)));
        };
        yield 'a picture that is another' => [static fn (\ZipArchive $z): bool => $z->addFromString('private/photos/one.jpg', 'b picture'), 'is damaged: private/photos/one.jpg'];
        yield 'a picture that is not there' => [static fn (\ZipArchive $z): bool => $z->deleteName('private/photos/one.jpg'), 'is damaged: private/photos/one.jpg'];
        yield 'a database of nothing' => [static fn (\ZipArchive $z): bool => $z->addFromString('database.sqlite', 'nothing'), 'is damaged: database.sqlite'];
        yield 'no manifest' => [static fn (\ZipArchive $z): bool => $z->deleteName('manifest.json'), 'is not a Harmozon backup'];
        yield 'a newer kind of backup' => [$manifest(static fn (array $m): array => ['version' => 2] + $m), 'newer version'];
        yield 'a newer database' => [$manifest(static fn (array $m): array => ['migrations' => [...$m['migrations'], '2999_01_01_000001_more']] + $m), 'newer version'];
        yield 'a way out of the folder' => [$manifest(static fn (array $m): array => ['files' => [...$m['files'], 'private/../../escaped' => ['bytes' => 1, 'sha256' => 'x']]] + $m), 'is not a Harmozon backup'];
        yield 'a database that is whole by its sum and broken inside' => [static function (\ZipArchive $zip) use ($manifest): void {
            $broken = substr_replace((string) $zip->getFromName('database.sqlite'), str_repeat("\xff", 4096), 4096, 4096);
            $zip->addFromString('database.sqlite', $broken);
            $manifest(static fn (array $m): array => ['files' => ['database.sqlite' => ['bytes' => strlen($broken), 'sha256' => hash('sha256', $broken)]] + $m['files']] + $m)($zip);
        }, 'is damaged: database.sqlite'];
    }

    public function test_what_is_no_file_is_refused_and_so_is_a_folder_that_cannot_be(): void
    {
        self::assertSame(2, $this->artisan('harmozon:restore', "{$this->house}/nothing.zip")->getExitCode());
        self::assertSame(2, $this->artisan('harmozon:restore', "{$this->house}/database.sqlite")->getExitCode());
        self::assertSame(2, $this->artisan('harmozon:backup', "--to={$this->house}/database.sqlite/below")->getExitCode());
        foreach (['0', '-1', 'two'] as $keep) {
            self::assertSame(2, $this->artisan('harmozon:backup', "--keep={$keep}")->getExitCode(), $keep);
        }
    }

    public function test_so_many_are_kept_as_somebody_says_and_nothing_else_is_touched(): void
    {
        $to = "{$this->house}/elsewhere";
        mkdir($to);
        file_put_contents("{$to}/harmozon-notes.txt", 'mine');
        $made = array_map(fn (): string => $this->backup("--to={$to}", '--keep=2'), range(1, 3));

        self::assertSame([$made[1], $made[2]], glob("{$to}/*.zip"));
        self::assertFileExists("{$to}/harmozon-notes.txt");
    }

    private function backup(string ...$options): string
    {
        $made = $this->artisan('harmozon:backup', ...$options);
        self::assertSame(0, $made->getExitCode(), $made->getOutput().$made->getErrorOutput());
        preg_match('#\S+\.zip#', $made->getOutput(), $file);

        return $file[0] ?? self::fail($made->getOutput());
    }

    private function artisan(string ...$command): Process
    {
        $process = new Process(['php', 'artisan', ...array_values($command)], dirname(__DIR__, 2), [
            'APP_ENV' => 'testing', 'APP_KEY' => 'base64:'.base64_encode(str_repeat("\0", 32)), 'CACHE_STORE' => 'array', 'LOG_CHANNEL' => 'null',
            'DB_DATABASE' => "{$this->house}/database.sqlite", 'LARAVEL_STORAGE_PATH' => "{$this->house}/storage",
        ]);
        $process->run();

        return $process;
    }

    private function sql(string $statements): void
    {
        (new \PDO("sqlite:{$this->house}/database.sqlite", options: [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION]))->exec($statements);
    }

    private function rows(string $from): int
    {
        return (int) (new \PDO("sqlite:{$this->house}/database.sqlite"))->query("select count(*) from {$from}")->fetchColumn();
    }
}
