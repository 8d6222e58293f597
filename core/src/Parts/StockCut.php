<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

use LogicException;

/**
 * What is cut from stock of one kind: reels, lengths and offcuts with their pieces named.
 *
 * It is reckoned in whole units from cut mark to cut mark, as a mark need not lie on a whole millimetre.
 */
final readonly class StockCut
{
    /**
     * @param  float  $unit  mm from cut mark to cut mark
     * @param  int  $stock  mm of one bought length, up to its last mark
     * @param  list<Bar>  $bars
     * @param  bool  $proven  whether no fewer lengths, and of those no fewer joints, would do
     * @param  list<Piece>  $tooLong  pieces that no length holds and that may not be joined
     */
    private function __construct(public string $kit, public string $name, private float $unit, public int $stock, public array $bars, public int $bought, public int $joints, public bool $proven, public array $tooLong)
    {
    }

    /**
     * @param  float  $stock  mm of one bought length
     * @param  list<Piece>  $wanted
     * @param  list<float>  $offcuts  mm, what lies in the van already
     * @param  float  $unit  mm from cut mark to cut mark
     */
    public static function of(string $kit, string $name, float $stock, array $wanted, array $offcuts = [], float $unit = 1.0): self
    {
        $units = static fn (float $mm): int => (int) floor($mm / $unit + 1e-6);
        $length = $units($stock);
        $offcuts = array_values(array_filter(array_map($units, $offcuts)));
        $longest = max([$length, ...$offcuts]);
        $tooLong = $whole = $parted = [];
        foreach ($wanted as $piece) {
            $long = $units($piece->mm) > $longest;
            if ($units($piece->mm) === 0) {
                continue;
            }
            if ($long && $piece->joints === 'never') {
                $tooLong[] = $piece;
            } elseif ($piece->joints === 'saving' || $long) {
                $parted[] = $piece;
            } else {
                $whole[] = $piece;
            }
        }
        [$bars, $whole, $offcuts] = self::inOffcuts($whole, $offcuts, $length, $units);
        $in = static fn (Piece $p): int => $units($p->mm);
        [$filled, $bought, $joints, $proven] = Jointed::of(array_map($in, $whole), array_map($in, $parted), $length, $offcuts);
        $proven = $proven && $bars === [];
        $bars = array_map(static fn (array $b): Bar => self::bar($b[0], true, $b[1], $unit), $bars);

        return new self($kit, $name, $unit, (int) round($length * $unit), [...$bars, ...self::named($filled, $whole, $parted, $offcuts, $units, $unit)], $bought, $joints, $proven, $tooLong);
    }

    /** Millimetres that are left over of what is bought and of the offcuts that are used. */
    public function left(): int
    {
        return array_sum(array_map(static fn (Bar $b): int => $b->left, $this->bars));
    }

    /** Millimetres of an offcut up to its last cut mark: what is behind it is lost. */
    public function usable(float $mm): int
    {
        return (int) round(floor($mm / $this->unit + 1e-6) * $this->unit);
    }

    /**
     * Joints in the stock itself, by run.
     *
     * @return array<string, int>
     */
    public function jointsOf(): array
    {
        $parts = $runs = [];
        foreach ($this->bars as $bar) {
            foreach ($bar->pieces as [, $piece]) {
                $parts[spl_object_id($piece)] = ($parts[spl_object_id($piece)] ?? -1) + 1;
                $runs[spl_object_id($piece)] = $piece->run;
            }
        }
        $joints = [];
        foreach ($parts as $id => $count) {
            $joints[$runs[$id]] = ($joints[$runs[$id]] ?? 0) + $count;
        }

        return array_filter($joints);
    }

    /**
     * Whole pieces that only an offcut holds, longest first, each in the shortest one that does.
     *
     * @param  list<Piece>  $whole
     * @param  list<int>  $offcuts
     * @param  callable(float): int  $units
     * @return array{list<array{int, list<array{int, Piece}>}>, list<Piece>, list<int>} what is cut from them, the pieces and offcuts that are left
     */
    private static function inOffcuts(array $whole, array $offcuts, int $stock, callable $units): array
    {
        $bars = [];
        usort($whole, static fn (Piece $a, Piece $b): int => $b->mm <=> $a->mm);
        sort($offcuts);
        while ($whole !== [] && $units($whole[0]->mm) > $stock) {
            $piece = array_shift($whole);
            $at = (int) array_key_first(array_filter($offcuts, static fn (int $o): bool => $o >= $units($piece->mm)));
            $bars[] = [$offcuts[$at], [[$units($piece->mm), $piece]]];
            array_splice($offcuts, $at, 1);
        }

        return [$bars, $whole, $offcuts];
    }

    /**
     * @param  list<array{int, list<array{int, int, int}>}>  $filled  in units
     * @param  list<Piece>  $whole
     * @param  list<Piece>  $parted
     * @param  list<int>  $offcuts
     * @param  callable(float): int  $units
     * @return list<Bar>
     */
    private static function named(array $filled, array $whole, array $parted, array $offcuts, callable $units, float $unit): array
    {
        $names = [Jointed::WHOLE => [], Jointed::UNCUT => []];
        $named = $parts = [];
        foreach ([Jointed::WHOLE => $whole, Jointed::UNCUT => $parted] as $list => $pieces) {
            foreach ($pieces as $piece) {
                $names[$list][$units($piece->mm)][] = $piece;
            }
        }
        $lies = array_count_values($offcuts);
        $bars = [];
        foreach ($filled as [$length, $cuts]) {
            $pieces = [];
            foreach ($cuts as [$part, $of, $number]) {
                $list = $number === Jointed::WHOLE ? Jointed::WHOLE : Jointed::UNCUT;
                $piece = $parts[$number] ?? $names[$list][$of][$named[$list][$of] ?? 0] ?? throw new LogicException("A piece of {$of} units was cut that nobody wanted.");
                if (! isset($parts[$number])) {
                    $named[$list][$of] = ($named[$list][$of] ?? 0) + 1;
                }
                if ($number > Jointed::UNCUT) {
                    $parts[$number] = $piece;
                }
                $pieces[] = [$part, $piece];
            }
            $lies[$length] = ($lies[$length] ?? 0) - 1;
            $bars[] = self::bar($length, $lies[$length] >= 0, $pieces, $unit);
        }

        return $bars;
    }

    /** @param  list<array{int, Piece}>  $pieces  in units */
    private static function bar(int $length, bool $offcut, array $pieces, float $unit): Bar
    {
        $mm = static fn (int $units): int => (int) round($units * $unit);

        return new Bar($mm($length), $offcut, array_map(static fn (array $p): array => [$mm($p[0]), $p[1]], $pieces), $mm($length - array_sum(array_column($pieces, 0))));
    }
}
