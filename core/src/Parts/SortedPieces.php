<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/**
 * Pieces by how they are cut. One longer than a bought length is cut from the shortest offcut that holds it, the longest first; without one it is
 * divided, or too long.
 */
final readonly class SortedPieces
{
    /**
     * @param  list<array{int, Piece}>  $long  cut from an offcut of so many units already
     * @param  list<Piece>  $whole
     * @param  list<Piece>  $parted
     * @param  list<Piece>  $tooLong
     * @param  list<int>  $offcuts  that are left, in units
     */
    private function __construct(
        public array $long,
        public array $whole,
        public array $parted,
        public array $tooLong,
        public array $offcuts,
    ) {}

    /**
     * @param  list<Piece>  $wanted
     * @param  int  $stock  units of a bought length
     * @param  list<int>  $offcuts  units
     * @param  callable(float): int  $units
     */
    public static function from(array $wanted, int $stock, array $offcuts, callable $units): self
    {
        usort($wanted, static fn(Piece $a, Piece $b): int => $b->mm <=> $a->mm);
        sort($offcuts);
        $long = $whole = $parted = $tooLong = [];
        foreach ($wanted as $piece) {
            $mm = $units($piece->mm);
            $holds = array_key_first(array_filter($offcuts, static fn(int $o): bool => $o >= $mm));
            if ($mm > 0 && $piece->joints === 'saving') {
                $parted[] = $piece;
            } elseif ($mm > $stock && $holds !== null) {
                $long[] = [$offcuts[$holds], $piece];
                array_splice($offcuts, $holds, 1);
            } elseif ($mm > $stock && $piece->joints === 'never') {
                $tooLong[] = $piece;
            } elseif ($mm > $stock) {
                $parted[] = $piece;
            } elseif ($mm > 0) {
                $whole[] = $piece;
            }
        }

        return new self($long, $whole, $parted, $tooLong, $offcuts);
    }
}
