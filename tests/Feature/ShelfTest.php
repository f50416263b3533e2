<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Backup\Backups;
use App\Files\Shelf;
use App\Imports\ImportState;
use App\Models\ChargeSession;
use App\Models\Photo;
use App\Models\ReadingsImport;
use App\Models\User;
use App\Models\Vehicle;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Tests\S3\Server;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** Several servers of one site share its files: what one took, another has. */
final class ShelfTest extends TestCase
{
    use StartsFromSeed;

    private Server $shelf;

    private User $person;

    protected function setUp(): void
    {
        parent::setUp();
        $this->shelf = new Server;
        config(['filesystems.default' => 's3', 'filesystems.disks.s3' => [
            'driver' => 's3', 'key' => 'made-up', 'secret' => 'of nobody', 'region' => 'us-east-1', 'bucket' => 'harmozon',
            'endpoint' => $this->shelf->url, 'use_path_style_endpoint' => true, 'throw' => true, 'retries' => 0,
        ]]);
        Storage::forgetDisk('s3');
        $this->person = $this->demoUser();
        $this->actingAs($this->person);
    }

    protected function tearDown(): void
    {
        $this->shelf->end();
        array_map(unlink(...), glob(storage_path('backups/*.zip')) ?: []);
        parent::tearDown();
    }

    public function test_a_photograph_is_on_the_shelf_and_shown_from_there(): void
    {
        $vehicle = $this->inside($this->person, static fn (): string => Vehicle::query()->firstOrFail()->ulid);
        $photo = $this->post("/api/pieces/vehicles/{$vehicle}/photos", ['file' => UploadedFile::fake()->image('plate.jpg', 40, 30)])->assertCreated()->json('id');

        self::assertSame(["photos/{$this->person->garage_id}/{$photo}.jpg"], $this->shelf->kept());
        $shown = $this->get("/api/photos/{$photo}")->assertOk()->getContent();
        self::assertSame("\xFF\xD8", substr((string) $shown, 0, 2));
        self::assertSame('', Photo::query()->withoutGlobalScopes()->where('ulid', $photo)->firstOrFail()->bytes);
    }

    public function test_a_picture_that_no_row_names_is_swept_away_after_a_day(): void
    {
        $disk = Shelf::disk();
        $disk->put("photos/{$this->person->garage_id}/OLD.jpg", 'x');
        touch("{$this->shelf->folder}/harmozon/photos/{$this->person->garage_id}/OLD.jpg", time() - 90_000);
        $disk->put("photos/{$this->person->garage_id}/NEW.jpg", 'x');
        Photo::sweepShelf();

        self::assertSame(["photos/{$this->person->garage_id}/NEW.jpg"], $this->shelf->kept());
    }

    public function test_a_file_whose_pieces_came_to_several_servers_is_read_by_any(): void
    {
        $session = $this->inside($this->person, static function (): string {
            $copy = ChargeSession::query()->firstOrFail()->replicate(['ulid', 'verdict', 'summary', 'finished_at']);
            $copy->save();

            return $copy->ulid;
        });
        $text = "t_s,kw\n".implode('', array_map(static fn (int $i): string => ($i * 10).",50\n", range(1, 60)));
        $import = $this->postJson("/api/sessions/{$session}/imports", ['name' => 'a.csv', 'bytes' => strlen($text)])->assertCreated()->json('id');
        foreach ([[0, 200], [200, 150], [350, null]] as [$from, $length]) {
            $this->anotherServer($import);
            $this->call('PUT', "/api/imports/{$import}/piece?from={$from}", [], [], [], ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json'], substr($text, $from, $length))->assertOk();
        }
        self::assertCount(3, $this->shelf->kept());
        $this->anotherServer($import);
        $done = $this->postJson("/api/imports/{$import}/start")->assertOk();
        self::assertSame([ImportState::Done->value, 60], [$done->json('state'), $done->json('added')]);
        self::assertSame(hash('sha256', $text), $this->inside($this->person, static fn (): ?string => ReadingsImport::query()->firstWhere('ulid', $import)?->fingerprint));

        $this->deleteJson("/api/imports/{$import}")->assertNoContent();
        self::assertSame([], $this->shelf->kept());
    }

    public function test_pieces_that_nobody_has_touched_for_a_week_are_swept_away_with_the_next_file(): void
    {
        $session = $this->inside($this->person, static fn (): string => ChargeSession::query()->firstOrFail()->ulid);
        foreach (['OLD' => 8, 'NEW' => 6] as $name => $days) {
            Shelf::disk()->put("imports/{$name}.csv/000000000000", 'x');
            touch("{$this->shelf->folder}/harmozon/imports/{$name}.csv/000000000000", time() - $days * 86_400);
        }
        $this->postJson("/api/sessions/{$session}/imports", ['name' => 'a.csv', 'bytes' => 10])->assertCreated();

        self::assertSame(['imports/NEW.csv/000000000000'], $this->shelf->kept());
    }

    public function test_a_backup_takes_what_is_on_the_shelf_along_and_is_kept_there(): void
    {
        Shelf::disk()->put('photos/1/one.jpg', 'a picture');
        $backups = $this->app->make(Backups::class);
        $backups->make(Backups::folder(), 1);
        $file = $backups->make(Backups::folder(), 1);

        self::assertSame(['backups/'.basename($file), 'photos/1/one.jpg'], $this->shelf->kept());
        self::assertEqualsWithDelta(time(), Backups::newestAt(), 5);
        $zip = new \ZipArchive;
        $zip->open($file);
        self::assertSame('a picture', $zip->getFromName('private/photos/1/one.jpg'));
    }

    /** A server that has none of the file's pieces. */
    private function anotherServer(string $import): void
    {
        array_map(unlink(...), glob(storage_path("app/imports/{$import}*")) ?: []);
    }
}
