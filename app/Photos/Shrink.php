<?php

declare(strict_types=1);

namespace App\Photos;

use Closure;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;
use GdImage;
use RuntimeException;

/** Shrinks a photo, turns it upright and removes all camera metadata. */
final readonly class Shrink
{
    /** Longest side that is kept, pixels. */
    public const SIDE = 1600;

    /** Pixels above which a picture is not even opened: a pixel takes four bytes, and a worker may have 200 MB. */
    public const MOST_PIXELS = 25_000_000;

    private const QUALITY = 82;

    private function __construct(public string $jpeg, public int $width, public int $height) {}

    /** @throws Refusal when it is no photo, or too large a one */
    public static function from(string $bytes): self
    {
        $size = @getimagesizefromstring($bytes);
        if (
            $size === false ||
            !in_array($size[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP, IMAGETYPE_GIF], true)
        ) {
            throw new InvalidInput('This photo cannot be read: use JPEG, PNG or WebP.', '/photo');
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS || $size[0] < 1 || $size[1] < 1) {
            throw new InvalidInput(
                "The photo has {$size[0]} x {$size[1]} pixels; at most 25 million are accepted. Use a smaller picture size.",
                '/photo',
            );
        }

        return self::alone(static fn(): self => self::made($bytes, $size[2] === IMAGETYPE_JPEG));
    }

    /** @throws Refusal */
    private static function made(string $bytes, bool $jpeg): self
    {
        $image = @imagecreatefromstring($bytes);
        // Half a JPEG is opened too, with the rest in grey.
        if ($image === false || ($jpeg && !self::ends($bytes))) {
            throw new InvalidInput('The photo is damaged: it ends before its picture does.', '/photo');
        }
        $scale = min(1.0, self::SIDE / max(imagesx($image), imagesy($image)));
        [$width, $height] = [
            max(1, (int) round(imagesx($image) * $scale)),
            max(1, (int) round(imagesy($image) * $scale)),
        ];
        $small = imagecreatetruecolor($width, $height);
        imagefill($small, 0, 0, (int) imagecolorallocate($small, 255, 255, 255));
        imagecopyresampled($small, $image, 0, 0, 0, 0, $width, $height, imagesx($image), imagesy($image));
        // Turned when it is small: two large ones together would be too much.
        unset($image);
        $small = self::upright($small, $jpeg ? $bytes : '');
        ob_start();
        imagejpeg($small, null, self::QUALITY);

        return new self((string) ob_get_clean(), imagesx($small), imagesy($small));
    }

    /** Whether a JPEG has its end: the mark of it after the beginning of the picture, not that of a small preview before it (ITU-T T.81, B.1). */
    private static function ends(string $jpeg): bool
    {
        $at = 2;
        while (($jpeg[$at] ?? '') === "\xFF") {
            $mark = $jpeg[$at + 1] ?? '';
            if ($mark === "\xFF") {
                // Marks may have any number of these before them.
                $at++;

                continue;
            }
            $length = unpack('n', substr($jpeg, $at + 2, 2) . "\0\0")[1] ?? 0;
            if ($mark === "\xDA") {
                return strpos($jpeg, "\xFF\xD9", min(strlen($jpeg), $at + 2 + $length)) !== false;
            }
            $at += 2 + max(0, (int) $length);
        }

        return false;
    }

    /**
     * One at a time on this machine, however many workers there are.
     *
     * @param  Closure(): self  $work
     */
    private static function alone(Closure $work): self
    {
        $lock = fopen(storage_path('framework/photo.lock'), 'c');
        if ($lock === false || !flock($lock, LOCK_EX)) {
            throw new RuntimeException('Photos are locked by another process.');
        }
        try {
            return $work();
        } finally {
            fclose($lock);
        }
    }

    /** Rotated by the camera's orientation, which is in the removed metadata. */
    private static function upright(GdImage $image, string $jpeg): GdImage
    {
        $exif = $jpeg !== '' ? self::exif($jpeg) : false;
        $turn = is_array($exif) ? [3 => 180, 6 => -90, 8 => 90][$exif['Orientation'] ?? 1] ?? 0 : 0;
        $turned = $turn === 0 ? $image : imagerotate($image, $turn, 0);
        if ($turned === false) {
            return $image;
        }

        return $turned;
    }

    /** @return array<array-key, mixed>|false */
    private static function exif(string $jpeg): array|false
    {
        $stream = fopen('php://memory', 'r+b') ?: throw new RuntimeException('There is no memory for a stream.');
        fwrite($stream, $jpeg);
        rewind($stream);

        return @exif_read_data($stream);
    }
}
