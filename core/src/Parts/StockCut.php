<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

use LogicException;

/**
 * Cuts from stock of one kind: reels, lengths and offcuts with their named pieces.
 *
 * It is calculated in full units from cut mark to cut mark, as a mark need not are on an entire millimetre.
 */
final readonly class StockCut
{
    /** Millimetres of the shortest offcut that is worth keeping (common practice, no source). */
    private const WORTH = 200;

    /**
     * @param  float  $unit  mm from cut mark to cut mark
     * @param  int  $stock  mm of one bought length, up to its last mark
     * @param  list<Bar>  $bars
     * @param  bool  $proven  whether no fewer lengths, and of those no fewer joints, would do
     * @param  list<Piece>  $tooLong  pieces that no length holds and that may not be joined
     */
    private function __construct(
        public string $kit,
        public string $name,
        private float $unit,
        public int $kerf,
        public int $stock,
        public array $bars,
        public int $bought,
        public int $joints,
        public bool $proven,
        public array $tooLong,
    ) {}

    /**
     * @param  float  $stock  mm of one bought length
     * @param  list<Piece>  $wanted
     * @param  list<float>  $offcuts mm, offcuts in the van
     * @param  float  $unit  mm from cut mark to cut mark
     * @param  int  $kerf saw kerf in mm, for parts cut to the millimetre
     */
    public static function for(
        string $kit,
        string $name,
        float $stock,
        array $wanted,
        array $offcuts = [],
        float $unit = 1.0,
        int $kerf = 0,
    ): self {
        $units = static fn(float $mm): int => (int) floor($mm / $unit + 1e-6);
        $length = $units($stock);
        [$long, $whole, $parted, $tooLong, $offcuts] = self::sorted(
            $wanted,
            $length,
            array_values(array_filter(array_map($units, $offcuts))),
            $units,
        );
        $in = static fn(Piece $p): int => $units($p->mm) + $kerf;
        [$filled, $bought, $joints, $proven] = JointedCuts::for(
            array_map($in, $whole),
            array_map($in, $parted),
            $length + $kerf,
            array_map(static fn(int $o): int => $o + $kerf, $offcuts),
            $kerf,
        );
        $filled = array_map(
            static fn(array $b): array => [
                $b[0] - $kerf,
                array_map(static fn(array $c): array => [$c[0] - $kerf, $c[1] - $kerf, $c[2]], $b[1]),
            ],
            $filled,
        );
        $bars = array_map(static fn(array $b): Bar => self::bar($b[0], true, $b[1], $unit, $kerf), $long);

        return new self(
            kit: $kit,
            name: $name,
            unit: $unit,
            kerf: $kerf,
            stock: (int) round($length * $unit),
            bars: [
                ...$bars,
                ...self::named(
                    filled: $filled,
                    whole: $whole,
                    parted: $parted,
                    offcuts: $offcuts,
                    units: $units,
                    unit: $unit,
                    kerf: $kerf,
                ),
            ],
            bought: $bought,
            joints: $joints,
            proven: $proven && $long === [],
            tooLong: $tooLong,
        );
    }

    /**
     * Pieces that no length holds and that may not be joined.
     *
     * @param  float  $stock  mm of one bought length
     * @param  list<Piece>  $wanted
     * @param  list<float>  $offcuts  mm
     * @return list<Piece>
     */
    public static function tooLong(float $stock, array $wanted, array $offcuts, float $unit): array
    {
        $units = static fn(float $mm): int => (int) floor($mm / $unit + 1e-6);

        return self::sorted(
            $wanted,
            $units($stock),
            array_values(array_filter(array_map($units, $offcuts))),
            $units,
        )[3];
    }

    /** Waste in mm of the bought lengths and the used offcuts. */
    public function left(): int
    {
        return array_sum(array_map(static fn(Bar $b): int => $b->left, $this->bars));
    }

    /** @return list<int> mm of the rest and worth keeping */
    public function kept(): array
    {
        return array_values(
            array_filter(
                array_map(static fn(Bar $b): int => $b->left, $this->bars),
                static fn(int $mm): bool => $mm >= self::WORTH,
            ),
        );
    }

    /** Length of an offcut up to its last cut mark: the rest is lost. */
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
     * Pieces cut in one part, and divisible ones. Pieces longer than a bought length are cut from the shortest offcut that fits, the longest first;
     * without one they are divided, or too long.
     *
     * @param  list<Piece>  $wanted
     * @param  list<int>  $offcuts
     * @param  callable(float): int  $units
     * @return array{list<array{int, list<array{int, Piece}>}>, list<Piece>, list<Piece>, list<Piece>, list<int>} cut
     *     from offcuts already, whole, parted, too long; the offcuts that are left
     */
    private static function sorted(array $wanted, int $stock, array $offcuts, callable $units): array
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
                $long[] = [$offcuts[$holds], [[$mm, $piece]]];
                array_splice($offcuts, $holds, 1);
            } elseif ($mm > $stock && $piece->joints === 'never') {
                $tooLong[] = $piece;
            } elseif ($mm > $stock) {
                $parted[] = $piece;
            } elseif ($mm > 0) {
                $whole[] = $piece;
            }
        }

        return [$long, $whole, $parted, $tooLong, $offcuts];
    }

    /**
     * @param  list<array{int, list<array{int, int, int}>}>  $filled  in units
     * @param  list<Piece>  $whole
     * @param  list<Piece>  $parted
     * @param  list<int>  $offcuts
     * @param  callable(float): int  $units
     * @return list<Bar>
     */
    private static function named(
        array $filled,
        array $whole,
        array $parted,
        array $offcuts,
        callable $units,
        float $unit,
        int $kerf,
    ): array {
        $names = [JointedCuts::WHOLE => [], JointedCuts::UNCUT => []];
        $named = $parts = [];
        foreach ([JointedCuts::WHOLE => $whole, JointedCuts::UNCUT => $parted] as $list => $pieces) {
            foreach ($pieces as $piece) {
                $names[$list][$units($piece->mm)][] = $piece;
            }
        }
        $lies = array_count_values($offcuts);
        $bars = [];
        foreach ($filled as [$length, $cuts]) {
            $pieces = [];
            foreach ($cuts as [$part, $of, $number]) {
                $list = $number === JointedCuts::WHOLE ? JointedCuts::WHOLE : JointedCuts::UNCUT;
                $piece =
                    $parts[$number] ??
                    ($names[$list][$of][$named[$list][$of] ?? 0] ??
                        throw new LogicException("A piece of {$of} units was cut that nobody wanted."));
                if (!isset($parts[$number])) {
                    $named[$list][$of] = ($named[$list][$of] ?? 0) + 1;
                }
                if ($number > JointedCuts::UNCUT) {
                    $parts[$number] = $piece;
                }
                $pieces[] = [$part, $piece];
            }
            $lies[$length] = ($lies[$length] ?? 0) - 1;
            $bars[] = self::bar($length, $lies[$length] >= 0, $pieces, $unit, $kerf);
        }

        return $bars;
    }

    /** @param  list<array{int, Piece}>  $pieces  in units */
    private static function bar(int $length, bool $offcut, array $pieces, float $unit, int $kerf): Bar
    {
        $mm = static fn(int $units): int => (int) round($units * $unit);

        return new Bar(
            $mm($length),
            $offcut,
            array_map(static fn(array $p): array => [$mm($p[0]), $p[1]], $pieces),
            max(0, $mm($length - array_sum(array_column($pieces, 0))) - $kerf * count($pieces)),
        );
    }
}
