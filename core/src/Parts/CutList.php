<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/**
 * Which piece is cut from which stock length: fewest bought lengths, which is least waste. Whole millimetres.
 *
 * Best fit with the longest first, then rounded patterns of the relaxed problem (Gilmore and Gomory), then every way to fill one length after
 * another within the allowed waste (bin completion); a bound shows whether fewer are possible.
 */
final readonly class CutList
{
    /** Different pieces up to which patterns are made. */
    private const KINDS = 40;

    /** Pieces up to which every way to fill a length is looked at. */
    private const PIECES = 60;

    /**
     * @param  list<int>  $pieces  mm, none longer than a bought length
     * @param  int  $stock  mm of one bought length
     * @param  list<int>  $offcuts  mm that are there already, each once: they are filled first
     */
    public static function for(array $pieces, int $stock, array $offcuts = []): Cuts
    {
        rsort($offcuts);
        $least = max(
            0,
            (int) ceil((array_sum($pieces) - array_sum($offcuts)) / $stock),
            $offcuts === [] ? LengthBound::for($pieces, $stock) : 0,
        );
        $best = BestFit::for($pieces, $stock, $offcuts);
        $kinds = array_count_values($pieces);
        if ($best->bought > $least && $offcuts === [] && count($kinds) <= self::KINDS) {
            $relaxed = Patterns::from($kinds, $stock);
            $least = max($least, (int) ceil($relaxed->value - 1e-6));
            $best = self::fewer($best, $relaxed->rounded());
        }
        if ($best->bought > $least && count($pieces) <= self::PIECES) {
            [$completed, $proven] = Completion::for(
                pieces: $pieces,
                stock: $stock,
                offcuts: $offcuts,
                least: $least,
                most: $best->bought - 1,
            );
            $best = $completed ?? $best;
            if ($proven) {
                $least = $best->bought;
            }
        }

        return new Cuts($best->lengths, $best->bought, $best->bought === $least);
    }

    private static function fewer(Cuts $a, Cuts $b): Cuts
    {
        if ($b->bought < $a->bought) {
            return $b;
        }

        return $a;
    }
}
