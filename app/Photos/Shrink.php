<?php

declare(strict_types=1);

namespace App\Photos;

use EmberDusk\Workings\Trouble;
use GdImage;

/** Makes a photo small, upright and free of all that the camera wrote into it: only the pixels are kept. */
final readonly class Shrink
{
    /** Longest side that is kept, pixels. */
    public const SIDE = 1600;

    /** Pixels above which a picture is not even opened: it would not fit into memory. */
    private const MOST_PIXELS = 50_000_000;

    private const QUALITY = 82;

    private function __construct(public string $jpeg, public int $width, public int $height)
    {
    }

    /** @throws Trouble when it is no photo, or too large a one */
    public static function of(string $bytes): self
    {
        $size = @getimagesizefromstring($bytes);
        if ($size === false || ! in_array($size[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP, IMAGETYPE_GIF], true)) {
            throw new Trouble('This is no photo that can be read: take a JPEG, PNG or WebP.', '/photo');
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS || $size[0] < 1 || $size[1] < 1) {
            throw new Trouble("The photo has {$size[0]} x {$size[1]} pixels; at most 50 million are taken. Make it smaller first.", '/photo');
        }
        $image = @imagecreatefromstring($bytes);
        if ($image === false) {
            throw new Trouble('The photo is damaged: it ends before its picture does.', '/photo');
        }
        $image = self::upright($image, $size[2] === IMAGETYPE_JPEG ? $bytes : '');
        $scale = min(1.0, self::SIDE / max(imagesx($image), imagesy($image)));
        [$width, $height] = [max(1, (int) round(imagesx($image) * $scale)), max(1, (int) round(imagesy($image) * $scale))];
        $small = imagecreatetruecolor($width, $height);
        imagefill($small, 0, 0, (int) imagecolorallocate($small, 255, 255, 255));
        imagecopyresampled($small, $image, 0, 0, 0, 0, $width, $height, imagesx($image), imagesy($image));
        ob_start();
        imagejpeg($small, null, self::QUALITY);

        return new self((string) ob_get_clean(), $width, $height);
    }

    /** Turned as the camera was held, which is told in what is about to be left out. */
    private static function upright(GdImage $image, string $jpeg): GdImage
    {
        $exif = $jpeg === '' ? false : @exif_read_data('data://image/jpeg;base64,'.base64_encode($jpeg));
        $turn = is_array($exif) ? [3 => 180, 6 => -90, 8 => 90][$exif['Orientation'] ?? 1] ?? 0 : 0;
        $turned = $turn === 0 ? $image : imagerotate($image, $turn, 0);

        return $turned === false ? $image : $turned;
    }
}
