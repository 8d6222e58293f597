<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/**
 * Pieces of which some may be made of several: the fewest bought lengths, then the fewest joints.
 *
 * What may be parted fills what the others leave, so lengths are as few as the others or the sum need. Lengths that joints hold
 * together need one joint fewer than there are of them, so joints are few where the lengths fall into many groups: every way
 * to fill one length after the other with fewer joints than a first guess has is looked at.
 */
final class Jointed
{
    /** May not be parted; may be and is not. */
    public const WHOLE = 0;

    public const UNCUT = 1;

    /** Ways that are looked at. */
    private const MOST = 30_000;

    /** Pieces up to which every way is looked at. */
    private const PIECES = 24;

    /** @var array<int, int> how many lengths are left, by mm */
    private array $stock;

    /** @var array<string, array<int, int>> how many pieces are left by mm, longest first: whole ones and those that may be parted */
    private array $left;

    /**
     * @var list<array{int, list<array{int, int, int}>}> lengths, and of each piece in them its mm, the mm of the
     *     whole, and WHOLE, UNCUT or a number that the parts of one piece share
     */
    private array $filled = [];

    private int $looked = 0;

    /** The number that the parts of one piece share. */
    private int $parts = self::UNCUT;

    /** @var array<string, true> what is left where no way goes on */
    private array $dead = [];

    private function __construct() {}

    /**
     * @param  list<int>  $whole  mm
     * @param  list<int>  $parted  mm
     * @param  list<int>  $offcuts  mm
     * @return array{list<array{int, list<array{int, int, int}>}>, int, int, bool} lengths with what is cut from them,
     *     as in $filled; how many are bought; joints; whether fewer of either are known to be impossible
     */
    public static function of(array $whole, array $parted, int $stock, array $offcuts): array
    {
        $fixed = CutList::of($whole, $stock, $offcuts);
        $bought = max(
            $fixed->bought,
            (int) ceil((array_sum($whole) + array_sum($parted) - array_sum($offcuts)) / $stock),
        );
        [$filled, $joints] = Gaps::of(
            fixed: $fixed,
            parted: $parted,
            stock: $stock,
            offcuts: $offcuts,
            bought: $bought,
        );
        $longest = max([$stock, ...$offcuts]);
        $least = array_sum(array_map(static fn(int $mm): int => (int) ceil($mm / $longest) - 1, $parted));
        $proven = $fixed->proven || $bought > $fixed->bought;
        $searched = count($whole) + count($parted) <= self::PIECES;
        $looked = 0;
        while ($joints > $least && $searched) {
            $search = new self();
            $search->looked = $looked;
            $search->stock = array_count_values([...$offcuts, ...array_fill(0, $bought, $stock)]);
            $search->left = ['whole' => array_count_values($whole), 'parted' => array_count_values($parted)];
            krsort($search->stock);
            krsort($search->left['whole']);
            krsort($search->left['parted']);
            if (!$search->group($joints - 1)) {
                $searched = !$search->gaveUp();
                break;
            }
            [$filled, $looked] = [$search->filled, $search->looked];
            $joints--;
        }

        return [$filled, $bought, $joints, $proven && ($joints === $least || $searched)];
    }

    private function gaveUp(): bool
    {
        return $this->looked > self::MOST;
    }

    /** Lengths that nothing is carried into: the first holds the longest piece that is left. */
    private function group(int $joints): bool
    {
        $whole = array_key_first($this->left['whole']) ?? 0;
        $parted = array_key_first($this->left['parted']) ?? 0;
        if ($whole + $parted === 0) {
            return true;
        }
        if ($this->hopeless(0, $joints)) {
            return false;
        }
        $longest = [max($whole, $parted), $parted > $whole ? self::UNCUT : self::WHOLE];
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
     * Goes on with what is left of a piece in another length: all of it, or filled up with whole pieces and carried on.
     *
     * @param  array{int, int}  $of  mm of the whole and the number of its parts
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
            foreach ($joints > 0 ? $this->ways($length, ['whole']) : [] as [$room, $way]) {
                if ($room > 0 && $room < $carried && $this->looked++ <= self::MOST) {
                    $this->take($way);
                    $this->filled[] = [$length, [[$room, ...$of], ...$way]];
                    if ($this->carry($carried - $room, $of, $joints - 1)) {
                        return true;
                    }
                    array_pop($this->filled);
                    $this->back($way);
                }
            }
            $this->close($length);
        }

        return false;
    }

    /**
     * Fills an open length behind what is carried into it: it ends there, or a piece is parted at its end.
     *
     * @param  array{int, int}  $of  mm of the whole and the number of its parts
     * @param  array{int, int}|null  $with  mm of a piece that must be in it, and whether it may be parted
     */
    private function fill(int $length, int $carried, array $of, int $joints, ?array $with): bool
    {
        $slack = $this->slack() + $length - $carried;
        foreach ($this->ways($length - $carried, ['whole', 'parted']) as [$room, $way]) {
            if ($room > $slack && $joints === 0) {
                break;
            }
            if ($this->looked++ > self::MOST) {
                return false;
            }
            $has = $with === null || in_array([$with[0], $with[0], $with[1]], $way, true);
            $this->take($way);
            $cut = [...$carried > 0 ? [[$carried, ...$of]] : [], ...$way];
            $this->filled[] = [$length, $cut];
            if ($has && $room <= $slack && $this->group($joints)) {
                return true;
            }
            array_pop($this->filled);
            foreach ($room > 0 && $joints > 0 ? array_keys($this->left['parted']) : [] as $mm) {
                if ($mm <= $room || (!$has && $with !== [$mm, self::UNCUT])) {
                    continue;
                }
                $this->take([[$mm, $mm, self::UNCUT]]);
                $parts = [$mm, ++$this->parts];
                $this->filled[] = [$length, [...$cut, [$room, ...$parts]]];
                if ($this->carry($mm - $room, $parts, $joints - 1)) {
                    return true;
                }
                array_pop($this->filled);
                $this->back([[$mm, $mm, self::UNCUT]]);
            }
            $this->back($way);
        }

        return false;
    }

    /**
     * @param  list<'whole'|'parted'>  $lists
     * @return list<array{int, list<array{int, int, int}>}> ways to put pieces into so much room, each with the room that is left, the fullest first
     */
    private function ways(int $room, array $lists): array
    {
        $sizes = [];
        foreach ($lists as $list) {
            foreach ($this->left[$list] as $mm => $count) {
                $sizes[] = [$mm, $list === 'parted' ? self::UNCUT : self::WHOLE, $count];
            }
        }
        $ways = [];
        $open = [[0, $room, [], 0]];
        while ($open !== [] && count($ways) < self::MOST) {
            [$at, $rest, $way, $same] = array_pop($open);
            $ways[] = [$rest, $way];
            for ($n = $at; $n < count($sizes); $n++) {
                [$mm, $parted, $count] = $sizes[$n];
                $taken = $n === $at ? $same : 0;
                if ($mm <= $rest && $taken < $count) {
                    $open[] = [$n, $rest - $mm, [...$way, [$mm, $mm, $parted]], $taken + 1];
                }
            }
        }
        usort($ways, static fn(array $a, array $b): int => [$a[0], count($a[1])] <=> [$b[0], count($b[1])]);

        return $ways;
    }

    /** Millimetres of all lengths that are left, without what is still to be cut. */
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

    /** Whether what is left does not fit, was tried before, or too much was looked at. The same is not gone into twice. */
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

    /** @param  list<array{int, int, int}>  $way */
    private function take(array $way): void
    {
        foreach ($way as [$mm, , $parted]) {
            $list = $parted === self::WHOLE ? 'whole' : 'parted';
            if (--$this->left[$list][$mm] === 0) {
                unset($this->left[$list][$mm]);
            }
        }
    }

    /** @param  list<array{int, int, int}>  $way */
    private function back(array $way): void
    {
        foreach ($way as [$mm, , $parted]) {
            $list = $parted === self::WHOLE ? 'whole' : 'parted';
            $this->left[$list][$mm] = ($this->left[$list][$mm] ?? 0) + 1;
        }
        krsort($this->left['whole']);
        krsort($this->left['parted']);
    }
}
