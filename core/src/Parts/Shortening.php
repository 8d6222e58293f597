<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/** Which piece made a little shorter would save a length that is bought, and what that is worth. */
final readonly class Shortening
{
    /** Millimetres, and share of a piece, up to which a change of it is small (common practice, no source). */
    private const SMALL = [500.0, 0.1];

    /** Least share of a line's cost worth reporting. */
    private const WORTH = 0.1;

    /** Pieces that are tried, the longest first. */
    private const TRIED = 6;

    /**
     * @param  float  $metres  by which it would be shorter, at least
     * @param  int  $lengths  that are bought less
     * @param  float  $saves  of the currency, without mark-up and tax
     */
    private function __construct(public Piece $piece, public float $metres, public int $lengths, public float $saves) {}

    /**
     * The least change that saves more than a tenth of the line; null where there is none.
     *
     * @param  Part  $part the line of the cut material
     * @param  list<float>  $offcuts  metres
     */
    public static function for(PiecesToCut $lengths, StockCut $cut, Part $part, array $offcuts): ?self
    {
        $one = $part->price ?? 0.0;
        if (
            $cut->tooLong !== [] ||
            $cut->bought < 1 ||
            min(1.0, $part->paid()) * $one <= self::WORTH * ($part->cost() ?? 0.0)
        ) {
            return null;
        }
        $pieces = $lengths->of[$cut->kit]->pieces;
        $unit = $lengths->unit($cut->kit);
        $over =
            array_sum(array_map(static fn(Piece $p): float => $p->mm, $pieces)) -
            ($cut->bought - 1) * $cut->stock -
            1000 * array_sum($offcuts);
        uasort($pieces, static fn(Piece $a, Piece $b): int => $b->mm <=> $a->mm);
        $best = null;
        foreach (array_slice($pieces, 0, self::TRIED, true) as $n => $piece) {
            // Up to the best result so far.
            $most = (int) floor(min(self::SMALL[0], self::SMALL[1] * $piece->mm) / $unit + 1e-6);
            if ($best !== null) {
                $most = min($most, (int) round((1000 * $best->metres) / $unit) - 1);
            }
            $least = max(1, (int) ceil($over / $unit - 1e-6));
            $fewer = static fn(int $units): int => $cut->bought -
                $lengths->cut($cut->kit, $offcuts, self::shorter($pieces, $n, $units * $unit))->bought;
            if ($least > $most || $fewer($most) < 1) {
                continue;
            }
            while ($least < $most) {
                $middle = intdiv($least + $most, 2);
                [$least, $most] = $fewer($middle) < 1 ? [$middle + 1, $most] : [$least, $middle];
            }
            $saved = $fewer($most);
            $best = new self($piece, ($most * $unit) / 1000, $saved, min((float) $saved, $part->paid()) * $one);
        }

        return $best;
    }

    /**
     * @param  array<int, Piece>  $pieces
     * @return list<Piece>
     */
    private static function shorter(array $pieces, int $which, float $mm): array
    {
        $of = $pieces[$which];
        $pieces[$which] = new Piece($of->mm - $mm, $of->what, $of->run, $of->joints);

        return array_values($pieces);
    }
}
