<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/**
 * Pieces of which some may be made of several: the fewest bought lengths, then the fewest joints.
 *
 * What may be parted fills what the others leave, so lengths are as few as the others or the sum need. Lengths that joints hold
 * together need one joint fewer than there are of them, so joints are few where the lengths fall into many groups: every way
 * to fill one length after the other with fewer joints than a first guess has is looked at.
 *
 * Where a saw takes something at every cut, lengths and pieces are given with one cut more than they are long: n pieces and
 * the n - 1 cuts between them fit a length when their sum fits. A piece that is parted has a cut more with every part.
 */
final readonly class Jointed
{
    /** May not be parted; may be and is not. */
    public const WHOLE = 0;

    public const UNCUT = 1;

    /** Pieces up to which every way is looked at. */
    private const PIECES = 24;

    /**
     * @param  list<int>  $whole  mm
     * @param  list<int>  $parted  mm
     * @param  list<int>  $offcuts  mm
     * @param  int  $kerf  mm of a cut, which everything else has on top
     * @return array{list<array{int, list<array{int, int, int}>}>, int, int, bool} lengths with what is cut from them,
     *     as in $filled; how many are bought; joints; whether fewer of either are known to be impossible
     */
    public static function of(array $whole, array $parted, int $stock, array $offcuts, int $kerf = 0): array
    {
        $fixed = CutList::of($whole, $stock, $offcuts);
        $bought = max(
            $fixed->bought,
            (int) ceil((array_sum($whole) + array_sum($parted) - array_sum($offcuts)) / $stock),
        );
        $proven = $fixed->proven || $bought > $fixed->bought;
        $lies = static fn(int $bought): array => [...$offcuts, ...array_fill(0, $bought, $stock)];
        for (; ; $bought++) {
            $guess = Gaps::of(
                fixed: $fixed,
                parted: $parted,
                stock: $stock,
                offcuts: $offcuts,
                bought: $bought,
                kerf: $kerf,
            );
            if ($guess !== null) {
                break;
            }
            // What only just suffices by its sum may not when the saw has had its share; no length ends in more than one joint.
            $search = new JointSearch(kerf: $kerf, stock: $lies($bought), whole: $whole, parted: $parted);
            if ($search->group(count($lies($bought)))) {
                $guess = [$search->filled, $search->joints()];
                break;
            }
            $proven = $proven && !$search->gaveUp();
        }
        [$filled, $joints] = $guess;
        $longest = max([$stock, ...$offcuts]) - $kerf;
        $least = array_sum(array_map(static fn(int $mm): int => (int) ceil(($mm - $kerf) / $longest) - 1, $parted));
        $searched = count($whole) + count($parted) <= self::PIECES;
        $looked = 0;
        while ($joints > $least && $searched) {
            $search = new JointSearch(kerf: $kerf, stock: $lies($bought), whole: $whole, parted: $parted);
            $search->looked = $looked;
            if (!$search->group($joints - 1)) {
                $searched = !$search->gaveUp();
                break;
            }
            [$filled, $looked] = [$search->filled, $search->looked];
            $joints--;
        }

        return [$filled, $bought, $joints, $proven && ($joints === $least || $searched)];
    }
}
