<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/** Every way to fill one length after the other with no more than so many joints, until one holds all pieces. */
final class JointSearch
{
    /** Ways that are looked at. */
    private const MOST = 30_000;

    /** @var array<int, int> how many lengths are left, by mm */
    private array $stock;

    /** @var array<string, array<int, int>> remaining pieces by mm, longest first: whole ones and divisible ones */
    private array $left;

    /** @var list<FilledLength> */
    public array $filled = [];

    public int $looked = 0;

    /** The number that the parts of one piece share. */
    private int $parts = CutPart::UNCUT;

    /** @var array<string, true> the rest where no way goes on */
    private array $dead = [];

    /**
     * @param  list<int>  $stock  mm
     * @param  list<int>  $whole  mm
     * @param  list<int>  $parted  mm
     */
    public function __construct(private readonly int $kerf, array $stock, array $whole, array $parted)
    {
        $this->stock = array_count_values($stock);
        $this->left = ['whole' => array_count_values($whole), 'parted' => array_count_values($parted)];
        krsort($this->stock);
        krsort($this->left['whole']);
        krsort($this->left['parted']);
    }

    /** Joints so far: one fewer than the parts of each piece. */
    public function joints(): int
    {
        $parts = [];
        foreach ($this->filled as $length) {
            foreach ($length->parts as $part) {
                $parts[$part->number] = ($parts[$part->number] ?? -1) + 1;
            }
        }

        return array_sum(array_diff_key($parts, [CutPart::WHOLE => 0, CutPart::UNCUT => 0]));
    }

    public function gaveUp(): bool
    {
        return $this->looked > self::MOST;
    }

    /** Lengths that nothing is carried into: the first holds the longest piece that is left. */
    public function group(int $joints): bool
    {
        $whole = array_key_first($this->left['whole']) ?? 0;
        $parted = array_key_first($this->left['parted']) ?? 0;
        if ($whole + $parted === 0) {
            return true;
        }
        if ($this->hopeless(0, $joints)) {
            return false;
        }
        $longest = [max($whole, $parted), $parted > $whole ? CutPart::UNCUT : CutPart::WHOLE];
        foreach (array_keys($this->stock) as $length) {
            $this->open($length);
            if ($this->fill(length: $length, carried: 0, of: [0, 0], joints: $joints, with: $longest)) {
                return true;
            }
            $this->close($length);
        }

        return false;
    }

    /**
     * Goes on with the rest of a piece in another length: all of it, or filled up with full pieces and carried on.
     *
     * @param  array{int, int}  $of  mm of the entire and the number of its parts
     */
    private function carry(int $carried, array $of, int $joints): bool
    {
        if ($this->hopeless($carried, $joints)) {
            return false;
        }
        foreach (array_keys($this->stock) as $length) {
            $this->open($length);
            if (
                $carried <= $length &&
                $this->fill(length: $length, carried: $carried, of: $of, joints: $joints, with: null)
            ) {
                return true;
            }
            if ($joints > 0) {
                foreach ($this->ways($length, ['whole']) as $way) {
                    $room = $way->room;
                    if ($room > $this->kerf && $room < $carried && $this->looked++ <= self::MOST) {
                        $this->take($way->parts);
                        $this->filled[] = new FilledLength($length, [new CutPart($room, ...$of), ...$way->parts]);
                        if ($this->carry($carried - $room + $this->kerf, $of, $joints - 1)) {
                            return true;
                        }
                        array_pop($this->filled);
                        $this->back($way->parts);
                    }
                }
            }
            $this->close($length);
        }

        return false;
    }

    /**
     * Fills an open length behind its carried piece: it ends there, or a piece is divided at its end.
     *
     * @param  array{int, int}  $of  mm of the entire and the number of its parts
     * @param  array{int, int}|null  $with  mm of a piece that must be in it, and whether it may be parted
     */
    private function fill(int $length, int $carried, array $of, int $joints, ?array $with): bool
    {
        $slack = $this->slack() + $length - $carried;
        foreach ($this->ways($length - $carried, ['whole', 'parted']) as $way) {
            $room = $way->room;
            if ($room > $slack && $joints === 0) {
                break;
            }
            if ($this->looked++ > self::MOST) {
                return false;
            }
            $has = $with === null || self::holds($way, ...$with);
            $this->take($way->parts);
            $cut = [...$carried > 0 ? [new CutPart($carried, ...$of)] : [], ...$way->parts];
            $this->filled[] = new FilledLength($length, $cut);
            if ($has && $room <= $slack && $this->group($joints)) {
                return true;
            }
            array_pop($this->filled);
            if ($room > $this->kerf && $joints > 0) {
                foreach (array_keys($this->left['parted']) as $mm) {
                    if ($mm <= $room || (!$has && $with !== [$mm, CutPart::UNCUT])) {
                        continue;
                    }
                    $uncut = [new CutPart($mm, $mm, CutPart::UNCUT)];
                    $this->take($uncut);
                    $parts = [$mm, ++$this->parts];
                    $this->filled[] = new FilledLength($length, [...$cut, new CutPart($room, ...$parts)]);
                    if ($this->carry($mm - $room + $this->kerf, $parts, $joints - 1)) {
                        return true;
                    }
                    array_pop($this->filled);
                    $this->back($uncut);
                }
            }
            $this->back($way->parts);
        }

        return false;
    }

    /**
     * @param  list<'whole'|'parted'>  $lists
     * @return list<CutWay> ways to put pieces into so much room, the fullest first
     */
    private function ways(int $room, array $lists): array
    {
        $sizes = [];
        foreach ($lists as $list) {
            foreach ($this->left[$list] as $mm => $count) {
                $sizes[] = [$mm, $list === 'parted' ? CutPart::UNCUT : CutPart::WHOLE, $count];
            }
        }
        $ways = [];
        $open = [[0, $room, [], 0]];
        while ($open !== [] && count($ways) < self::MOST) {
            [$at, $rest, $way, $same] = array_pop($open);
            $ways[] = new CutWay($rest, $way);
            for ($n = $at; $n < count($sizes); $n++) {
                [$mm, $parted, $count] = $sizes[$n];
                $taken = $n === $at ? $same : 0;
                if ($mm <= $rest && $taken < $count) {
                    $open[] = [$n, $rest - $mm, [...$way, new CutPart($mm, $mm, $parted)], $taken + 1];
                }
            }
        }
        usort(
            $ways,
            static fn(CutWay $a, CutWay $b): int => [$a->room, count($a->parts)] <=> [$b->room, count($b->parts)],
        );

        return $ways;
    }

    /** Whether a piece of so many mm, that may be parted or not, is in a way as one. */
    private static function holds(CutWay $way, int $mm, int $number): bool
    {
        foreach ($way->parts as $part) {
            if ($part->length === $mm && $part->number === $number) {
                return true;
            }
        }

        return false;
    }

    /** Remaining millimetres of all lengths, minus the uncut pieces. */
    private function slack(): int
    {
        $slack = 0;
        foreach ($this->stock as $mm => $count) {
            $slack += $mm * $count;
        }
        foreach ($this->left as $pieces) {
            foreach ($pieces as $mm => $count) {
                $slack -= $mm * $count;
            }
        }

        return $slack;
    }

    /** Whether the rest does not fit, was tried before, or too much was looked at. The same is not gone into twice. */
    private function hopeless(int $carried, int $joints): bool
    {
        $key = json_encode([$this->stock, $this->left, $carried, $joints], JSON_THROW_ON_ERROR);
        if ($this->looked > self::MOST || isset($this->dead[$key]) || $this->slack() < $carried) {
            return true;
        }
        $this->dead[$key] = true;

        return false;
    }

    private function open(int $length): void
    {
        if (--$this->stock[$length] === 0) {
            unset($this->stock[$length]);
        }
    }

    private function close(int $length): void
    {
        $this->stock[$length] = ($this->stock[$length] ?? 0) + 1;
    }

    /** @param  list<CutPart>  $parts */
    private function take(array $parts): void
    {
        foreach ($parts as $part) {
            $mm = $part->length;
            $list = $part->number === CutPart::WHOLE ? 'whole' : 'parted';
            if (--$this->left[$list][$mm] === 0) {
                unset($this->left[$list][$mm]);
            }
        }
    }

    /** @param  list<CutPart>  $parts */
    private function back(array $parts): void
    {
        foreach ($parts as $part) {
            $mm = $part->length;
            $list = $part->number === CutPart::WHOLE ? 'whole' : 'parted';
            $this->left[$list][$mm] = ($this->left[$list][$mm] ?? 0) + 1;
        }
        krsort($this->left['whole']);
        krsort($this->left['parted']);
    }
}
