<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Count;

/**
 * Search for the pixel count to set in a controller: the next count to try, or the reason why the end stays dark. One answer can decide: dark from
 * the first pixel of a section means a data joint, a reversed arrow or a leg without data; three quarters of the pixels lit means three-channel data
 * on four-channel pixels; a last pixel at the end of the count means a count too low.
 */
final readonly class CountFinder
{
    /**
     * @param  string  $verdict  asking, count, kind, joint, stops or contradiction
     * @param  int|null  $set  the count to set next, or the one that is right
     * @param  int|null  $section  the section, from 0, before whose first pixel it breaks off
     * @param  int|null  $pixel  the last that lights, from 1
     */
    private function __construct(
        public string $verdict,
        public ?int $set = null,
        public ?int $section = null,
        public ?int $pixel = null,
    ) {}

    /** Observation of effects running past the last pixel: the count is too high. */
    public const OFF_THE_END = -1;

    /**
     * @param  non-empty-list<int>  $sections  pixels of each, in the order of the data; of one branch where the output is split
     * @param  bool  $fourChannels  whether these pixels take four bytes
     * @param  list<array{int, int}>  $answers  the count that was set and the last pixel that lit (from 1), or OFF_THE_END
     */
    public static function from(array $sections, bool $fourChannels, array $answers): self
    {
        $expected = array_sum($sections);
        $low = 0;
        $high = null;
        $tried = [];
        foreach ($answers as [$set, $lit]) {
            $tried[$set] = true;
            if ($lit !== self::OFF_THE_END && $lit < $set) {
                return self::early($sections, $fourChannels, $set, $lit);
            }
            if ($lit === self::OFF_THE_END) {
                $high = min($high ?? $set, $set);
            } else {
                $low = max($low, $set);
            }
        }
        if ($high !== null && $low >= $high) {
            return new self('contradiction');
        }
        if ($high === $low + 1) {
            return new self('count', $low);
        }

        return new self('asking', self::between($low, $high, $expected));
    }

    /**
     * Fewer light than the count that was set, and nothing runs off: the data does not reach the rest.
     *
     * @param  non-empty-list<int>  $sections
     */
    private static function early(array $sections, bool $fourChannels, int $set, int $lit): self
    {
        if ($fourChannels && abs($lit - (int) floor(0.75 * $set)) <= 1 && !self::boundary($sections, $lit)) {
            return new self(verdict: 'kind', pixel: $lit);
        }
        $before = 0;
        foreach ($sections as $n => $pixels) {
            if ($lit === $before) {
                return new self(verdict: 'joint', section: $n, pixel: $lit);
            }
            $before += $pixels;
        }

        return new self(verdict: 'stops', pixel: $lit);
    }

    /** @param  list<int>  $sections */
    private static function boundary(array $sections, int $lit): bool
    {
        $before = 0;
        foreach ($sections as $pixels) {
            if ($lit === $before) {
                return true;
            }
            $before += $pixels;
        }

        return false;
    }

    /** First the calculated count, then one more; then bisection, doubling the distance until an end is known. */
    private static function between(int $low, ?int $high, int $expected): int
    {
        if ($low < $expected && ($high === null || $high > $expected)) {
            return $expected;
        }
        if ($low === $expected) {
            return $expected + 1;
        }
        if ($high === null) {
            return $low + max(1, $low - $expected);
        }
        if ($high === $expected) {
            return $expected - 1;
        }
        if ($low === 0) {
            return max(1, $high - max(1, $expected - $high));
        }

        return intdiv($low + $high, 2);
    }
}
