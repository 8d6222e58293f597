<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/**
 * Mixes the light of channels and says how far a mix is from another: CIE 1931 tristimulus values, CIE 1976 u'v'.
 *
 * A channel's chromaticity is that of its colour on the shelf, #rrggbb read as sRGB (IEC 61966-2-1).
 */
final readonly class Colour
{
    /** One SDCM step in u'v' (docs/model.md 6; CIE TN 001, from memory). */
    public const STEP = 0.0011;

    private function __construct(public float $x, public float $y, public float $z) {}

    public static function ofHex(string $hex): self
    {
        [$r, $g, $b] = array_map(static function (string $part): float {
            $s = hexdec($part) / 255;
            if ($s <= 0.04045) {
                return $s / 12.92;
            }

            return (($s + 0.055) / 1.055) ** 2.4;
        }, str_split(substr($hex, 1), 2));

        return new self(
            0.4124564 * $r + 0.3575761 * $g + 0.1804375 * $b,
            0.2126729 * $r + 0.7151522 * $g + 0.072175 * $b,
            0.0193339 * $r + 0.119192 * $g + 0.9503041 * $b,
        );
    }

    /**
     * @param  list<self>  $channels  at full
     * @param  list<float>  $light  of each, 1 at full
     */
    public static function mix(array $channels, array $light): self
    {
        $x = $y = $z = 0.0;
        foreach ($channels as $c => $channel) {
            $x += $light[$c] * $channel->x;
            $y += $light[$c] * $channel->y;
            $z += $light[$c] * $channel->z;
        }

        return new self($x, $y, $z);
    }

    /** Of a chromaticity (CIE 1931), as bright as full. */
    public static function ofXy(float $x, float $y): self
    {
        return new self($x / $y, 1.0, (1 - $x - $y) / $y);
    }

    /** @return array{float, float} x and y (CIE 1931) */
    public function xy(): array
    {
        $sum = $this->x + $this->y + $this->z;

        if ($sum > 0) {
            return [$this->x / $sum, $this->y / $sum];
        }

        return [0.0, 0.0];
    }

    /** @return array{float, float} u' and v' */
    public function uv(): array
    {
        $sum = $this->x + 15 * $this->y + 3 * $this->z;
        if ($sum > 0) {
            return [(4 * $this->x) / $sum, (9 * $this->y) / $sum];
        }

        return [0.0, 0.0];
    }

    /** How bright a share of full light is to the eye: L* of CIE 15, from 0 to 1. */
    public static function lightness(float $light): float
    {
        $light = min(1.0, max(0.0, $light));

        if ($light > 216 / 24_389) {
            return (116 * $light ** (1 / 3) - 16) / 100;
        }

        return ($light * 24_389) / 2_700;
    }

    /** Distance in u'v'; nothing from a place that is dark. */
    public function apart(self $other): float
    {
        if ($this->y <= 0 || $other->y <= 0) {
            return 0.0;
        }
        [$u, $v] = $this->uv();
        [$p, $q] = $other->uv();

        return hypot($u - $p, $v - $q);
    }

    /** As a screen shows it, at full brightness of its fullest primary. */
    public function hex(float $brightness = 1.0): string
    {
        $linear = [
            3.2404542 * $this->x - 1.5371385 * $this->y - 0.4985314 * $this->z,
            -0.969266 * $this->x + 1.8760108 * $this->y + 0.041556 * $this->z,
            0.0556434 * $this->x - 0.2040259 * $this->y + 1.0572252 * $this->z,
        ];
        $most = max(max($linear), 1e-12);

        return '#' .
            implode(
                '',
                array_map(static function (float $v) use ($most, $brightness): string {
                    $v = max(0.0, $v / $most) * $brightness;

                    return sprintf(
                        '%02x',
                        (int) round(255 * min(1.0, $v <= 0.0031308 ? 12.92 * $v : 1.055 * $v ** (1 / 2.4) - 0.055)),
                    );
                }, $linear),
            );
    }
}
