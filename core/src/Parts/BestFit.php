<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/** The longest piece first, each into the length that it leaves least of. */
final readonly class BestFit
{
    /**
     * @param  list<int>  $pieces  mm
     * @param  list<int>  $offcuts  mm
     */
    public static function for(array $pieces, int $stock, array $offcuts = []): Cuts
    {
        rsort($pieces);
        $stocks = $room = $offcuts;
        $cut = array_fill(0, count($offcuts), []);
        $bought = 0;
        foreach ($pieces as $piece) {
            $into = null;
            foreach ($room as $n => $left) {
                if ($left >= $piece && ($into === null || $left < $room[$into])) {
                    $into = $n;
                }
            }
            if ($into === null) {
                $into = count($stocks);
                $stocks[] = $room[] = $stock;
                $cut[] = [];
                $bought++;
            }
            $cut[$into][] = $piece;
            $room[$into] -= $piece;
        }

        $lengths = [];
        foreach ($cut as $n => $of) {
            if ($of !== []) {
                $lengths[] = [$stocks[$n], $of];
            }
        }

        return new Cuts($lengths, $bought, false);
    }
}
