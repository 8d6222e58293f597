<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Plan;

/** Strip, profile and diffuser of all runs as pieces to be cut, by shelf entry. */
final readonly class Lengths
{
    /** Metres on a reel where the shelf is silent (common practice, no source). */
    private const REEL = 5.0;

    /**
     * @param  array<string, array{KitSnapshot, string, list<Piece>}>  $of  by shelf id: kit, group, pieces
     * @param  list<string>  $lacking  what the shelf has nothing for
     */
    private function __construct(private Plan $plan, public array $of, public array $lacking) {}

    public static function of(Plan $plan, ShelfSource $shelf): self
    {
        $uses = new Uses($shelf);
        $of = $lacking = [];
        foreach ($plan->runs as $run) {
            $marks = $plan->cutMarks($run);
            if ($marks === null) {
                continue;
            }
            $making = $plan->making($run);
            $lists = [
                [
                    $plan->kit[(string) $run->strip] ?? null,
                    'Strip',
                    array_map(static fn(int $groups): float => $groups * $marks->pitch, $marks->groups),
                    $making->strip,
                ],
            ];
            if (in_array('profile', $run->mounting, true)) {
                $lists[] = [$uses->profile($plan, $run), 'Profile', $run->sections, $making->length];
                $lists[] = [$uses->diffuser($plan, $run), 'Diffuser', $run->sections, $making->length];
            }
            foreach ($lists as [$kit, $group, $lengths, $joints]) {
                if ($kit === null) {
                    $lacking[] = "{$group}: {$run->name()} goes into profile";

                    continue;
                }
                $id = $kit->entry->id();
                foreach ($lengths as $n => $metres) {
                    $of[$id] ??= [$kit, $group, []];
                    $of[$id][2][] = new Piece(
                        1000 * $metres,
                        $run->name() . (count($lengths) > 1 ? ' section ' . ($n + 1) : ''),
                        $run->id,
                        $joints,
                    );
                }
            }
        }

        return new self($plan, $of, $lacking);
    }

    /** Metres on a reel or in a length of an entry. */
    public static function bought(?KitSnapshot $kit): float
    {
        $written = new Fields($kit->written ?? []);

        return $written->numberOrNull('reelMetres') ?? ($written->numberOrNull('stockMetres') ?? self::REEL);
    }

    /** @param  list<float>  $offcuts  metres that lie in the van */
    public function cut(string $id, array $offcuts): StockCut
    {
        [$kit, , $pieces] = $this->of[$id];

        return StockCut::of(
            kit: $id,
            name: $kit->entry->name(),
            stock: 1000 * self::bought($kit),
            wanted: $pieces,
            offcuts: array_map(static fn(float $m): float => 1000 * $m, $offcuts),
            unit: 1000 * ($this->plan->strip($id)->pitch ?? 0.001),
        );
    }

    /**
     * Pieces that may not be joined and that no length holds.
     *
     * @param  array<string, list<float>>  $offcuts  metres, by shelf id
     * @return list<array{Piece, KitSnapshot, string}> the piece, what it is cut from, its group
     */
    public function tooLong(array $offcuts): array
    {
        $found = [];
        foreach ($this->of as $id => [$kit, $group, $pieces]) {
            $unit = 1000 * ($this->plan->strip($id)->pitch ?? 0.001);
            foreach (
                StockCut::tooLong(
                    1000 * self::bought($kit),
                    $pieces,
                    array_map(static fn(float $m): float => 1000 * $m, $offcuts[$id] ?? []),
                    $unit,
                )
                as $piece
            ) {
                $found[] = [$piece, $kit, $group];
            }
        }

        return $found;
    }
}
