<?php

declare(strict_types=1);

namespace App\Photos;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** A photograph as it is stored: re-encoded, upright, no larger than needed to read a plate, without the camera's metadata. */
final readonly class Picture
{
    public const MIME = 'image/jpeg';

    /** The longer side in pixels; a plate's print is readable at this size. */
    private const LONGEST_SIDE = 2400;

    /** Memory for its pixels while it is re-encoded, four bytes each. */
    private const MOST_BYTES_DRAWN = 64_000_000;

    private const BYTES_A_PIXEL = 4;

    private const QUALITY = 86;

    private function __construct(public string $bytes, public int $width, public int $height)
    {
    }

    /** @throws FieldError when it is no JPEG, PNG or WebP, or cannot be drawn */
    public static function of(string $file): self
    {
        $size = @getimagesizefromstring($file);
        if ($size === false || ! in_array($size[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP], true)) {
            throw FieldError::at('file', Message::of('app.no_photo'));
        }
        // By what its header says, before anything is drawn: a small file can hold a very large picture.
        if (self::BYTES_A_PIXEL * $size[0] * $size[1] > self::MOST_BYTES_DRAWN) {
            throw FieldError::at('file', Message::of('app.photo_too_wide', most: Amount::count(intdiv(self::MOST_BYTES_DRAWN, self::BYTES_A_PIXEL * 1_000_000)), width: Amount::count($size[0]), height: Amount::count($size[1])));
        }

        return self::oneByOne(static function () use ($file, $size): self {
            $drawn = @imagecreatefromstring($file);
            if ($drawn === false) {
                throw FieldError::at('file', Message::of('app.photo_broken'));
            }
            $smaller = self::shrunk($drawn);
            // Frees the large one before the next is drawn.
            unset($drawn);

            return $size[2] === IMAGETYPE_JPEG ? self::written(self::upright($smaller, self::turn($file))) : self::written(self::onWhite($smaller));
        });
    }

    /**
     * Re-encodes one photograph at a time, so that several at once don't multiply memory use.
     *
     * @param  \Closure(): self  $draw
     */
    private static function oneByOne(\Closure $draw): self
    {
        $turn = @fopen(storage_path('framework/drawing.lock'), 'c');
        if ($turn === false) {
            return $draw();
        }
        try {
            flock($turn, LOCK_EX);

            return $draw();
        } finally {
            fclose($turn);
        }
    }

    private static function shrunk(\GdImage $drawn): \GdImage
    {
        $share = self::LONGEST_SIDE / max(imagesx($drawn), imagesy($drawn));
        if ($share >= 1) {
            return $drawn;
        }
        $smaller = imagescale($drawn, max(1, (int) round(imagesx($drawn) * $share)), max(1, (int) round(imagesy($drawn) * $share)));

        return $smaller === false ? $drawn : $smaller;
    }

    /** How the camera was held (Exif 2.32, tag 0x0112): 1 is upright. */
    private static function turn(string $file): int
    {
        $stream = fopen('php://memory', 'r+b');
        if ($stream === false || ! function_exists('exif_read_data')) {
            return 1;
        }
        fwrite($stream, $file);
        rewind($stream);
        $read = @exif_read_data($stream);
        $turn = $read === false ? 1 : ($read['Orientation'] ?? 1);

        return is_int($turn) ? $turn : 1;
    }

    private static function upright(\GdImage $drawn, int $turn): \GdImage
    {
        $angle = match ($turn) {
            3, 4 => 180,
            5, 6 => 270,
            7, 8 => 90,
            default => 0,
        };
        $turned = $angle === 0 ? $drawn : imagerotate($drawn, $angle, 0);
        $turned = $turned === false ? $drawn : $turned;
        if (in_array($turn, [2, 4, 5, 7], true)) {
            imageflip($turned, IMG_FLIP_HORIZONTAL);
        }

        return $turned;
    }

    /** Puts a white background behind a transparent PNG or WebP. */
    private static function onWhite(\GdImage $drawn): \GdImage
    {
        [$width, $height] = [imagesx($drawn), imagesy($drawn)];
        $paper = imagecreatetruecolor($width, $height);
        imagefilledrectangle($paper, 0, 0, $width, $height, (int) imagecolorallocate($paper, 255, 255, 255));
        imagecopy($paper, $drawn, 0, 0, 0, 0, $width, $height);

        return $paper;
    }

    private static function written(\GdImage $drawn): self
    {
        ob_start();
        imagejpeg($drawn, null, self::QUALITY);

        return new self((string) ob_get_clean(), imagesx($drawn), imagesy($drawn));
    }
}
