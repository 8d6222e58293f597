<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/** What is cut from stock of one kind: the pieces by name, and the cut list. */
final readonly class StockCut
{
    /**
     * @param  int  $stock  mm of one bought length
     * @param  list<array{int, string}>  $pieces  mm and what for
     * @param  list<string>  $tooLong  pieces that no length holds, where none may be joined
     */
    public function __construct(public string $kit, public string $name, public int $stock, public array $pieces, public Cuts $cuts, public int $joints, public array $tooLong)
    {
    }

    /**
     * Sections longer than a length are made of several, with a joint each; the last piece of each goes into the cut list.
     *
     * @param  list<array{int, string}>  $wanted  mm and what for
     */
    public static function of(string $kit, string $name, int $stock, array $wanted, bool $joined): self
    {
        $pieces = $tooLong = [];
        $joints = 0;
        foreach ($wanted as [$mm, $what]) {
            if ($mm > $stock && ! $joined) {
                $tooLong[] = sprintf('%s of %.2f m', $what, $mm / 1000);

                continue;
            }
            while ($mm > $stock) {
                $pieces[] = [$stock, $what];
                $mm -= $stock;
                $joints++;
            }
            if ($mm > 0) {
                $pieces[] = [$mm, $what];
            }
        }

        return new self($kit, $name, $stock, $pieces, CutList::of(array_column($pieces, 0), $stock), $joints, $tooLong);
    }

    /**
     * The lengths with their pieces named.
     *
     * @return list<array{length: int, left: int, pieces: list<array{mm: int, what: string}>}>
     */
    public function bars(): array
    {
        $names = [];
        foreach ($this->pieces as [$mm, $what]) {
            $names[$mm][] = $what;
        }
        $bars = [];
        foreach ($this->cuts->lengths as [$length, $pieces]) {
            $bars[] = ['length' => $length, 'left' => $length - array_sum($pieces), 'pieces' => array_map(static function (int $mm) use (&$names): array {
                return ['mm' => $mm, 'what' => (string) array_shift($names[$mm])];
            }, $pieces)];
        }

        return $bars;
    }
}
