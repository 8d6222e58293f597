<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Bends;
use EmberDusk\Plan\Plan;

/** Strip, profile and diffuser of all runs as pieces to be cut, by shelf entry. */
final readonly class PiecesToCut
{
    /** Metres on a reel where the shelf is silent (common practice, no source). */
    private const REEL = 5.0;

    /** Millimetres that a saw takes at every cut, mitre or butt (common practice, no source). */
    private const SAW = 3;

    /**
     * @param  array<string, StockPieces>  $of  by shelf id
     * @param  list<string>  $lacking needs that the shelf does not cover
     */
    private function __construct(private Plan $plan, public array $of, public array $lacking) {}

    public static function for(Plan $plan, ShelfSource $shelf): self
    {
        $uses = new FirstForPurpose($shelf);
        $of = $lacking = [];
        foreach ($plan->runs as $run) {
            $marks = $plan->of($run)->cutMarks();
            if ($marks === null) {
                continue;
            }
            $making = $plan->of($run)->making();
            $lists = [
                [
                    $plan->kit[(string) $run->strip] ?? null,
                    'Strip',
                    array_map(static fn(int $groups): array => [$groups * $marks->pitch], $marks->groups),
                    $making->strip,
                ],
            ];
            if (in_array('profile', $run->mounting, true)) {
                $straight = (new Bends($plan, $run))->pieces();
                $lists[] = [$uses->profile($plan, $run), 'Profile', $straight, $making->length];
                $lists[] = [$uses->diffuser($plan, $run), 'Diffuser', $straight, $making->length];
            }
            foreach ($lists as [$kit, $group, $sections, $joints]) {
                if ($kit === null) {
                    $lacking[] = "{$group}: {$run->name()} in profile";

                    continue;
                }
                $id = $kit->entry->id();
                foreach ($sections as $n => $pieces) {
                    $of[$id] ??= new StockPieces($kit, $group, []);
                    foreach ($pieces as $k => $metres) {
                        $of[$id] = $of[$id]->and(
                            new Piece(
                                1000 * $metres,
                                $run->name() .
                                    (count($sections) > 1 ? ' section ' . ($n + 1) : '') .
                                    (count($pieces) > 1 ? ' wall ' . ($k + 1) : ''),
                                $run->id,
                                $joints,
                            ),
                        );
                    }
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

    /** Millimetres from cut mark to cut mark. */
    public function unit(string $id): float
    {
        return 1000 * ($this->plan->strip($id)->pitch ?? 0.001);
    }

    /** Millimetres of a cut: scissors take nothing of a strip. */
    private static function kerf(string $group): int
    {
        if ($group === 'Strip') {
            return 0;
        }

        return self::SAW;
    }

    /**
     * @param  list<float>  $offcuts  metres that are in the van
     * @param  list<Piece>|null  $others pieces instead of the planned ones
     */
    public function cut(string $id, array $offcuts, ?array $others = null): StockCut
    {
        $stock = $this->of[$id];

        return StockCut::for(
            kit: $id,
            name: $stock->kit->entry->name(),
            stock: 1000 * self::bought($stock->kit),
            wanted: $others ?? $stock->pieces,
            offcuts: array_map(static fn(float $m): float => 1000 * $m, $offcuts),
            unit: $this->unit($id),
            kerf: self::kerf($stock->group),
        );
    }

    /**
     * Pieces that may not be joined and that no length holds.
     *
     * @param  array<string, list<float>>  $offcuts  metres, by shelf id
     * @return list<StockPieces>
     */
    public function tooLong(array $offcuts): array
    {
        $found = [];
        foreach ($this->of as $id => $stock) {
            $tooLong = StockCut::tooLong(
                1000 * self::bought($stock->kit),
                $stock->pieces,
                array_map(static fn(float $m): float => 1000 * $m, $offcuts[$id] ?? []),
                $this->unit($id),
            );
            if ($tooLong !== []) {
                $found[] = new StockPieces($stock->kit, $stock->group, $tooLong);
            }
        }

        return $found;
    }
}
