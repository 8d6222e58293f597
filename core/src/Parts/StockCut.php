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
        $sorted = SortedPieces::from($wanted, $length, array_values(array_filter(array_map($units, $offcuts))), $units);
        $in = static fn(Piece $p): int => $units($p->mm) + $kerf;
        $cuts = JointedCuts::for(
            array_map($in, $sorted->whole),
            array_map($in, $sorted->parted),
            $length + $kerf,
            array_map(static fn(int $o): int => $o + $kerf, $sorted->offcuts),
            $kerf,
        );
        $filled = array_map(static fn(FilledLength $f): FilledLength => $f->shorter($kerf), $cuts->filled);
        $bars = array_map(
            static fn(array $l): Bar => self::bar($l[0], true, [[$units($l[1]->mm), $l[1]]], $unit, $kerf),
            $sorted->long,
        );

        return new self(
            kit: $kit,
            name: $name,
            unit: $unit,
            kerf: $kerf,
            stock: (int) round($length * $unit),
            bars: [...$bars, ...self::named(filled: $filled, sorted: $sorted, units: $units, unit: $unit, kerf: $kerf)],
            bought: $cuts->bought,
            joints: $cuts->joints,
            proven: $cuts->proven && $sorted->long === [],
            tooLong: $sorted->tooLong,
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

        return SortedPieces::from(
            $wanted,
            $units($stock),
            array_values(array_filter(array_map($units, $offcuts))),
            $units,
        )->tooLong;
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
     * @param  list<FilledLength>  $filled  in units
     * @param  callable(float): int  $units
     * @return list<Bar>
     */
    private static function named(array $filled, SortedPieces $sorted, callable $units, float $unit, int $kerf): array
    {
        $names = [CutPart::WHOLE => [], CutPart::UNCUT => []];
        $named = $parts = [];
        foreach ([CutPart::WHOLE => $sorted->whole, CutPart::UNCUT => $sorted->parted] as $list => $pieces) {
            foreach ($pieces as $piece) {
                $names[$list][$units($piece->mm)][] = $piece;
            }
        }
        $lies = array_count_values($sorted->offcuts);
        $bars = [];
        foreach ($filled as $cut) {
            $pieces = [];
            foreach ($cut->parts as $part) {
                [$of, $number] = [$part->of, $part->number];
                $list = $number === CutPart::WHOLE ? CutPart::WHOLE : CutPart::UNCUT;
                $piece =
                    $parts[$number] ??
                    ($names[$list][$of][$named[$list][$of] ?? 0] ??
                        throw new LogicException("A piece of {$of} units was cut that nobody wanted."));
                if (!isset($parts[$number])) {
                    $named[$list][$of] = ($named[$list][$of] ?? 0) + 1;
                }
                if ($number > CutPart::UNCUT) {
                    $parts[$number] = $piece;
                }
                $pieces[] = [$part->length, $piece];
            }
            $lies[$cut->length] = ($lies[$cut->length] ?? 0) - 1;
            $bars[] = self::bar($cut->length, $lies[$cut->length] >= 0, $pieces, $unit, $kerf);
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
