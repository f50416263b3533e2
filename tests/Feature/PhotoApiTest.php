<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Adapter;
use App\Models\ChargeSession;
use App\Models\Photo;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Contract;
use Tests\StartsFromSeed;
use Tests\TestCase;

/** A photograph of a plate: kept with its piece, private to its garage, without what a camera wrote into it. */
final class PhotoApiTest extends TestCase
{
    use StartsFromSeed;

    private string $adapter;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->demoUser());
        $this->adapter = Adapter::query()->firstOrFail()->ulid;
    }

    public function test_a_photograph_of_a_session_stands_once_at_its_moment(): void
    {
        $session = ChargeSession::query()->firstOrFail()->ulid;
        $id = (string) Str::ulid();
        $take = fn (array $more = []): TestResponse => $this->post("/api/sessions/{$session}/photos", ['file' => UploadedFile::fake()->createWithContent('screen.png', self::picture('png', 40, 30)), 'id' => $id, 't_s' => 61.5, ...$more], ['Accept' => 'application/json']);

        $taken = $take()->assertCreated();
        Contract::holds('POST', '/sessions/{session}/photos', $taken);
        self::assertSame([$id, 61.5, 40], [$taken->json('id'), $taken->json('t_s'), $taken->json('width')]);
        Contract::holds('POST', '/sessions/{session}/photos', $take()->assertOk());
        $take(['id' => (string) Str::ulid(), 't_s' => 5])->assertCreated();
        $list = $this->getJson("/api/sessions/{$session}/photos")->assertOk();
        Contract::holds('GET', '/sessions/{session}/photos', $list);
        self::assertEquals([5, 61.5], array_column($list->json('photos'), 't_s'));
        $this->get("/api/photos/{$id}")->assertOk();

        foreach ([['file' => 'no file'], ['id' => 'mine'], ['t_s' => -1], ['file' => UploadedFile::fake()->create('a.jpg', 20)]] as $wrong) {
            Contract::holds('POST', '/sessions/{session}/photos', $take(['id' => (string) Str::ulid(), ...$wrong])->assertStatus(422));
        }
        // Of another session, or of a piece, it is another photograph.
        $other = ChargeSession::query()->latest('id')->firstOrFail()->ulid;
        $this->post("/api/sessions/{$other}/photos", ['file' => UploadedFile::fake()->createWithContent('screen.png', self::picture('png', 4, 3)), 'id' => $id, 't_s' => 0], ['Accept' => 'application/json'])->assertStatus(422)->assertJsonValidationErrors('id');
        $this->actingAs($this->stranger());
        $this->getJson("/api/sessions/{$session}/photos")->assertNotFound();
        $this->get("/api/photos/{$id}")->assertNotFound();
    }

    public function test_a_photograph_is_kept_shown_removed_and_brought_back(): void
    {
        $kept = $this->keep(self::picture('jpeg', 300, 200));
        Contract::holds('POST', '/pieces/{kind}/{piece}/photos', $kept->assertCreated());
        self::assertSame([300, 200], [$kept->json('width'), $kept->json('height')]);
        $id = $kept->json('id');
        $this->list(1);

        $shown = $this->get("/api/photos/{$id}")->assertOk();
        self::assertSame(['image/jpeg', 'nosniff'], [$shown->headers->get('Content-Type'), $shown->headers->get('X-Content-Type-Options')]);
        self::assertStringContainsString('private', (string) $shown->headers->get('Cache-Control'));
        self::assertSame([300, 200], array_slice((array) getimagesizefromstring((string) $shown->getContent()), 0, 2));
        // A browser may keep it, and asks each time whether it may still show it.
        self::assertStringNotContainsString('no-store', (string) $shown->headers->get('Cache-Control'));
        self::assertStringContainsString('no-cache', (string) $shown->headers->get('Cache-Control'));
        $again = ['If-None-Match' => (string) $shown->headers->get('ETag')];
        self::assertSame('', $this->get("/api/photos/{$id}", $again)->assertStatus(304)->getContent());
        $this->actingAs($this->stranger())->get("/api/photos/{$id}", $again)->assertNotFound();
        $this->actingAs($this->demoUser());

        Contract::holds('DELETE', '/photos/{photo}', $this->deleteJson("/api/photos/{$id}")->assertNoContent());
        $this->list(0);
        $this->getJson("/api/photos/{$id}")->assertNotFound();
        $aside = $this->getJson('/api/put-aside')->assertOk();
        Contract::holds('GET', '/put-aside', $aside);
        self::assertSame('photos', $aside->json('items.0.kind'));
        Contract::holds('POST', '/photos/{photo}/restore', $this->postJson("/api/photos/{$id}/restore")->assertOk());
        $this->list(1);
    }

    /** @return iterable<string, array{string}> */
    public static function kinds(): iterable
    {
        yield 'JPEG' => ['jpeg'];
        yield 'PNG' => ['png'];
        yield 'WebP' => ['webp'];
    }

    #[DataProvider('kinds')]
    public function test_it_is_drawn_anew_and_made_smaller(string $kind): void
    {
        $this->keep(self::picture($kind, 4800, 1200))->assertCreated()->assertJson(['width' => 2400, 'height' => 600]);
        self::assertSame(IMAGETYPE_JPEG, getimagesizefromstring(Photo::query()->firstOrFail()->bytes)[2] ?? null);
    }

    public function test_what_is_too_large_is_told_with_its_size(): void
    {
        $this->keep(self::wide(4_000, 4_001))->assertStatus(422)->assertJsonPath('errors.file.0', 'is 4,000 × 4,001 pixels; the maximum is 16 megapixels');
    }

    public function test_what_a_camera_wrote_into_it_is_gone_and_it_stands_upright(): void
    {
        $file = self::held(self::picture('jpeg', 300, 200), 6);
        self::assertSame([6, 'Somebody of Somewhere'], array_values(array_intersect_key((array) exif_read_data('data://image/jpeg;base64,'.base64_encode($file)), ['Orientation' => 0, 'Artist' => 0])));

        // Held on its side: the picture is turned by a quarter.
        $this->keep($file)->assertCreated()->assertJson(['width' => 200, 'height' => 300]);
        $kept = Photo::query()->firstOrFail()->bytes;
        self::assertStringNotContainsString('Somebody', $kept);
        self::assertStringNotContainsString('Exif', $kept);
        // What was at the left edge is at the top now.
        $drawn = imagecreatefromstring($kept);
        self::assertNotFalse($drawn);
        self::assertGreaterThan(200, imagecolorat($drawn, 100, 10) >> 16 & 255);
        self::assertLessThan(60, imagecolorat($drawn, 100, 290) >> 16 & 255);
    }

    /** @return iterable<string, array{string}> */
    public static function refused(): iterable
    {
        yield 'no picture' => ['hello'];
        yield 'nothing' => [''];
        yield 'a drawing' => ['<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'];
        yield 'another kind of picture' => [self::picture('gif', 20, 20)];
        yield 'one that ends early' => [substr(self::picture('png', 60, 60), 0, 70)];
        yield 'one too large to be drawn' => [self::wide(10_000, 10_000)];
        yield 'one row too many for 64 MB of pixels' => [self::wide(4_000, 4_001)];
    }

    #[DataProvider('refused')]
    public function test_what_is_no_photograph_is_refused_by_its_field(string $bytes): void
    {
        $this->keep($bytes)->assertStatus(422)->assertJsonStructure(['errors' => ['file']]);
        $this->list(0);
    }

    public function test_one_above_ten_megabytes_is_refused(): void
    {
        $this->keep(self::picture('jpeg', 20, 20).str_repeat("\0", 10 * 1024 * 1024))->assertStatus(422)->assertJsonStructure(['errors' => ['file']]);
        $this->postJson("/api/pieces/adapters/{$this->adapter}/photos")->assertStatus(422)->assertJsonStructure(['errors' => ['file']]);
    }

    public function test_no_piece_has_more_than_twelve(): void
    {
        for ($i = 0; $i < 12; $i++) {
            $this->keep(self::picture('jpeg', 20, 20))->assertCreated();
        }
        $this->keep(self::picture('jpeg', 20, 20))->assertStatus(422);
        $this->list(12);
    }

    private function list(int $count): void
    {
        $list = $this->getJson("/api/pieces/adapters/{$this->adapter}/photos")->assertOk()->assertJsonCount($count, 'photos');
        Contract::holds('GET', '/pieces/{kind}/{piece}/photos', $list);
    }

    private function keep(string $bytes): TestResponse
    {
        return $this->post("/api/pieces/adapters/{$this->adapter}/photos", ['file' => UploadedFile::fake()->createWithContent('plate.jpg', $bytes)], ['Accept' => 'application/json']);
    }

    /** White at the left, black at the right. */
    private static function picture(string $kind, int $width, int $height): string
    {
        $drawn = imagecreatetruecolor($width, $height);
        imagefilledrectangle($drawn, 0, 0, intdiv($width, 2), $height, (int) imagecolorallocate($drawn, 255, 255, 255));
        ob_start();
        match ($kind) {
            'png' => imagepng($drawn),
            'webp' => imagewebp($drawn),
            'gif' => imagegif($drawn),
            default => imagejpeg($drawn),
        };

        return (string) ob_get_clean();
    }

    /** The same with what a camera writes: how it was held, and who held it (Exif 2.32). */
    private static function held(string $jpeg, int $turn): string
    {
        $artist = "Somebody of Somewhere\0";
        $tiff = "II*\0".pack('V', 8).pack('v', 2)
            .pack('vvVvv', 0x0112, 3, 1, $turn, 0)
            .pack('vvVV', 0x013B, 2, strlen($artist), 8 + 2 + 24 + 4)
            .pack('V', 0).$artist;
        $exif = "Exif\0\0".$tiff;

        return substr($jpeg, 0, 2)."\xFF\xE1".pack('n', strlen($exif) + 2).$exif.substr($jpeg, 2);
    }

    /** A header that promises so many pixels, which are not there. */
    private static function wide(int $width, int $height): string
    {
        $png = self::picture('png', 2, 2);
        $header = pack('NN', $width, $height).substr($png, 24, 5);

        return substr($png, 0, 16).$header.pack('N', crc32('IHDR'.$header)).substr($png, 33);
    }
}
