<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Plan;

/** Collects the needs of a plan, part by part, with the reasons. */
final class PartsDemand
{
    /** One in ten is taken along on top, at least one (common practice, no source). */
    private const SPARE = 0.1;

    /** Groups in order: lights, mounting, power, consumables. */
    private const ORDER = [
        'Strip',
        'Profile',
        'Diffuser',
        'Fixing',
        'Strain relief',
        'Fixture',
        'Supply',
        'Controller',
        'Module',
        'Hub',
        'Control',
        'Set',
        'Cable',
        'Fuse',
        'Switch',
        'Plug',
        'Terminal',
        'Joint',
        'Solder',
        'Cleaning',
        'Sealing',
    ];

    /**
     * @var array<string, array{group: string, kit: KitSnapshot, count: float, unit: string, spares: bool,
     *     why: list<array{string, float}>, each: float, priced: float, runs: list<string>}> by shelf id
     */
    private array $things = [];

    /** @var list<string> needs without a shelf entry, by group, with the reason */
    public array $lacking = [];

    public function __construct(private readonly Plan $plan) {}

    /**
     * @param  list<string>  $runs  ids
     * @param  bool  $spares  whether some are taken along on top
     * @param  float  $each  how much of the unit one that is bought holds: 5 m a reel, 200 joints a reel of solder
     * @param  float  $priced  units that one that is bought has, where the shelf's price is for a unit: metres of a reel
     */
    public function add(
        ?KitSnapshot $kit,
        string $group,
        float $count,
        string $unit,
        string $why,
        array $runs = [],
        bool $spares = false,
        float $each = 1.0,
        float $priced = 1.0,
    ): void {
        if ($count <= 0) {
            return;
        }
        if ($kit === null) {
            $this->lacking[] = "{$group}: {$why}";

            return;
        }
        $id = $kit->entry->id();
        $this->things[$id] ??= [
            'group' => $group,
            'kit' => $kit,
            'count' => 0.0,
            'unit' => $unit,
            'spares' => $spares,
            'why' => [],
            'each' => $each,
            'priced' => $priced,
            'runs' => [],
        ];
        $this->things[$id]['count'] += $count;
        $this->things[$id]['why'][] = [$why, $count];
        $this->things[$id]['runs'] = [...$this->things[$id]['runs'], ...$runs];
    }

    /**
     * @param  array<string, int>  $bought  lengths that a cut list came to, by shelf id
     * @return list<Part>
     */
    public function parts(array $bought): array
    {
        $parts = [];
        foreach ($this->things as $id => $thing) {
            $kit = $thing['kit'];
            $price = $this->plan->terms->price($kit);
            $spare =
                $this->plan->spares[$id]->count ??
                ($thing['spares'] ? max(1, (int) ceil(self::SPARE * $thing['count'] - 1e-9)) : 0);
            // Spares of cut materials are full lengths; of others they are pieces.
            if (isset($bought[$id])) {
                $buy = $bought[$id] + $spare;
            } else {
                $buy = ceil(($thing['count'] + $spare) / $thing['each'] - 1e-9);
            }
            $parts[] = new Part(
                key: $id,
                group: $thing['group'],
                name: $kit->entry->name(),
                count: $thing['count'],
                unit: $thing['unit'],
                spare: $spare,
                buy: (float) $buy,
                why: self::summed($thing['why']),
                price: $price === null ? null : $price * $thing['priced'],
                owned: (float) ($this->plan->owned[$id]->count ?? 0),
                runs: array_values(array_unique($thing['runs'])),
                foreign: $this->plan->terms->foreign($kit) ?? '',
                lead: (new Fields($kit->written))->numberOrNull('lead') ?? 0.0,
                each: $thing['each'],
                cut: isset($bought[$id]),
                priced: $this->plan->terms->turned($kit),
            );
        }

        usort(
            $parts,
            static fn(Part $a, Part $b): int => array_search($a->group, self::ORDER, true) <=>
                array_search($b->group, self::ORDER, true),
        );

        return $parts;
    }

    /**
     * Equal reasons once, with all their needs.
     *
     * @param  list<array{string, float}>  $why
     * @return array<string, float>
     */
    private static function summed(array $why): array
    {
        $sums = [];
        foreach ($why as [$words, $count]) {
            $sums[$words] = ($sums[$words] ?? 0.0) + $count;
        }

        return $sums;
    }
}
