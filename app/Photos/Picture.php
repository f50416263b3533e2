<?php

declare(strict_types=1);

namespace App\Photos;

use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Words\Amount;
use Harmozon\Core\Words\Message;

/** A photograph as it is kept: drawn anew, upright, no larger than a plate needs to be read, without what a camera wrote into it. */
final readonly class Picture
{
    public const MIME = 'image/jpeg';

    /** The longer side; the print of a plate is readable at that. */
    private const LONGEST_SIDE = 2400;

    /** More would fill the memory of a small server while it is drawn anew (megapixels). */
    private const MOST_MEGAPIXELS = 50;

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
        if (self::MOST_MEGAPIXELS * 1_000_000 < $size[0] * $size[1]) {
            throw FieldError::at('file', Message::of('app.photo_too_wide', most: Amount::count(self::MOST_MEGAPIXELS)));
        }
        $drawn = @imagecreatefromstring($file);
        if ($drawn === false) {
            throw FieldError::at('file', Message::of('app.photo_broken'));
        }

        return self::written(self::upright(self::shrunk($drawn), $size[2] === IMAGETYPE_JPEG ? self::turn($file) : 1));
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

    /** On white where it lets something through. */
    private static function written(\GdImage $drawn): self
    {
        [$width, $height] = [imagesx($drawn), imagesy($drawn)];
        $paper = imagecreatetruecolor($width, $height);
        imagefill($paper, 0, 0, (int) imagecolorallocate($paper, 255, 255, 255));
        imagecopy($paper, $drawn, 0, 0, 0, 0, $width, $height);
        ob_start();
        imagejpeg($paper, null, self::QUALITY);

        return new self((string) ob_get_clean(), $width, $height);
    }
}
