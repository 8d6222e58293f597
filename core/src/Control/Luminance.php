<?php

declare(strict_types=1);

namespace EmberDusk\Control;

/** Relative luminance of a light's colour and whether it is saturated red, as WCAG 2.2 defines both (from memory). */
final readonly class Luminance
{
    /** Shares of red, green and blue in relative luminance (sRGB). */
    private const SHARES = [0.2126, 0.7152, 0.0722];

    /** Share of red in red + green + blue from which a red is saturated. */
    private const RED = 0.8;

    /** @param  array{float, float, float}  $rgb  linear red, green, blue; 1 is full */
    private function __construct(private array $rgb, public float $relative, public bool $saturatedRed) {}

    /**
     * @param  list<string>  $channels  colours, #rrggbb
     * @param  list<float>  $duties  of the channels
     */
    public static function from(array $channels, array $duties): self
    {
        $rgb = [0.0, 0.0, 0.0];
        foreach ($channels as $n => $colour) {
            foreach ([1, 3, 5] as $part => $at) {
                $rgb[$part] += ($duties[$n] ?? 0.0) * self::linear(hexdec(substr($colour, $at, 2)) / 255);
            }
        }
        $rgb = [min(1.0, $rgb[0]), min(1.0, $rgb[1]), min(1.0, $rgb[2])];
        $sum = array_sum($rgb);

        return new self(
            $rgb,
            self::SHARES[0] * $rgb[0] + self::SHARES[1] * $rgb[1] + self::SHARES[2] * $rgb[2],
            $sum > 0 && $rgb[0] / $sum >= self::RED,
        );
    }

    /** Greatest difference of one primary. */
    public function apart(self $other): float
    {
        return max(
            abs($this->rgb[0] - $other->rgb[0]),
            abs($this->rgb[1] - $other->rgb[1]),
            abs($this->rgb[2] - $other->rgb[2]),
        );
    }

    /** Linear light of an sRGB value. */
    private static function linear(float $value): float
    {
        return $value <= 0.04045 ? $value / 12.92 : (($value + 0.055) / 1.055) ** 2.4;
    }
}
