<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/**
 * A first guess if some pieces may be divided: full pieces as cut without them; then each into the smallest gap that fits, or over the largest.
 */
final readonly class GapFilling
{
    /** @param  list<FilledLength>  $filled */
    public function __construct(public array $filled, public int $joints) {}

    /**
     * @param  Cuts  $fixed  of the entire pieces, offcuts first
     * @param  list<int>  $parted  mm
     * @param  list<int>  $offcuts  mm
     * @param  int  $bought  lengths that are bought
     * @param  int  $kerf  mm of a cut, as in JointedCuts
     * @return self|null null if the cuts leave too little
     */
    public static function for(Cuts $fixed, array $parted, int $stock, array $offcuts, int $bought, int $kerf): ?self
    {
        $lengths = $cut = $room = [];
        foreach (self::lengths($fixed, $stock, $offcuts, $bought) as [$length, $pieces]) {
            $lengths[] = $length;
            $cut[] = array_map(static fn(int $mm): CutPart => new CutPart($mm, $mm, CutPart::WHOLE), $pieces);
            $room[] = $length - array_sum($pieces);
        }
        rsort($parted);
        $joints = 0;
        foreach ($parted as $n => $whole) {
            for ($mm = $whole; $mm > 0; $mm -= $part === $mm ? $part : $part - $kerf) {
                $into = self::best(array_filter($room, static fn(int $r): bool => $r >= $mm), $room);
                $part = min($mm, $room[$into]);
                if ($part <= $kerf) {
                    return null;
                }
                $cut[$into][] = new CutPart($part, $whole, $part === $whole ? CutPart::UNCUT : $n + 2);
                $room[$into] -= $part;
                $joints += (int) ($part < $mm);
            }
        }
        $filled = [];
        foreach ($cut as $n => $pieces) {
            if ($pieces !== []) {
                $filled[] = new FilledLength($lengths[$n], $pieces);
            }
        }

        return new self($filled, $joints);
    }

    /**
     * The lengths with their full pieces, then the offcuts and bought lengths that have none.
     *
     * @param  list<int>  $offcuts
     * @return list<array{int, list<int>}>
     */
    private static function lengths(Cuts $fixed, int $stock, array $offcuts, int $bought): array
    {
        $unused = array_count_values($offcuts);
        foreach (array_slice($fixed->lengths, 0, count($fixed->lengths) - $fixed->bought) as [$used]) {
            $unused[$used] = ($unused[$used] ?? 0) - 1;
        }
        $more = array_fill(0, $bought - $fixed->bought, [$stock, []]);
        foreach ($unused as $mm => $count) {
            $more = [...$more, ...array_fill(0, max(0, $count), [$mm, []])];
        }

        return [...$fixed->lengths, ...$more];
    }

    /**
     * The smallest gap that holds a piece, or the largest of all.
     *
     * @param  array<int, int>  $fits
     * @param  array<int, int>  $room
     */
    private static function best(array $fits, array $room): int
    {
        asort($fits);
        arsort($room);

        return array_key_first($fits) ?? (array_key_first($room) ?? 0);
    }
}
