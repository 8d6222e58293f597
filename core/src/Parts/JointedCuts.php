<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/**
 * Pieces of which some may be made of several: the fewest bought lengths, then the fewest joints.
 *
 * Divisible pieces fill the gaps, so the number of lengths follows from the others or from the sum. Lengths connected by joints need one joint fewer
 * than their number, so joints are few if the lengths fall into many groups: every way to fill one length after another with fewer joints than a
 * first guess is tried.
 *
 * With a saw kerf, lengths and pieces are given with one kerf added: n pieces and the n - 1 cuts between them fit a length when their sum fits. A
 * divided piece has one more cut per part.
 */
final readonly class JointedCuts
{
    /** Pieces up to which every way is looked at. */
    private const PIECES = 24;

    /**
     * @param  list<FilledLength>  $filled  lengths with their cuts
     * @param  bool  $proven  whether fewer bought lengths, or fewer joints, are proven impossible
     */
    private function __construct(public array $filled, public int $bought, public int $joints, public bool $proven) {}

    /**
     * @param  list<int>  $whole  mm
     * @param  list<int>  $parted  mm
     * @param  list<int>  $offcuts  mm
     * @param  int  $kerf  mm of a cut, which everything else has on top
     */
    public static function for(array $whole, array $parted, int $stock, array $offcuts, int $kerf = 0): self
    {
        $fixed = CutList::for($whole, $stock, $offcuts);
        $bought = max(
            $fixed->bought,
            (int) ceil((array_sum($whole) + array_sum($parted) - array_sum($offcuts)) / $stock),
        );
        $proven = $fixed->proven || $bought > $fixed->bought;
        $lies = static fn(int $bought): array => [...$offcuts, ...array_fill(0, $bought, $stock)];
        for (; ; $bought++) {
            $guess = GapFilling::for(
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
            // A sum that just suffices may fail with the kerf; no length ends in more than one joint.
            $search = new JointSearch(kerf: $kerf, stock: $lies($bought), whole: $whole, parted: $parted);
            if ($search->group(count($lies($bought)))) {
                $guess = new GapFilling($search->filled, $search->joints());
                break;
            }
            $proven = $proven && !$search->gaveUp();
        }
        [$filled, $joints] = [$guess->filled, $guess->joints];
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

        return new self($filled, $bought, $joints, $proven && ($joints === $least || $searched));
    }
}
