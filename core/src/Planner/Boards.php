<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Checks\Controller\InputRange;
use EmberDusk\Checks\Controller\PixelBoards;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\Routes;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Standing;
use EmberDusk\Rates\Joints;
use EmberDusk\Values\Severity;

/**
 * Pixel boards for runs on one supply that have none: of all ways to share them the cheapest with as few warnings as any board has for each run alone.
 * Each is at a place for controllers, with its supply cable and its data leads, or is a board of these runs with outputs left.
 */
final class Boards
{
    /** Most runs that share boards in every way; of more, neighbours share. */
    private const MANY = 6;

    /** @var array<string, list<PlannedBoard>> by runs, place and supply */
    private array $sets = [];

    /** @var array<string, PlannedBoard|null> the cheapest of some runs, by the same */
    private array $boards = [];

    /** @var array<string, array{PartCost, int}|null> data leads and settings, and warnings, by runs and board */
    private array $leads = [];

    public function __construct(private readonly Tables $tables) {}

    /**
     * @param  non-empty-list<Run>  $runs  on one supply
     * @param  string  $place  of the supply
     * @return list<PlannedBoard> empty where no run lacks a board, or none fits
     */
    public function for(array $runs, string $place, PowerSource $source): array
    {
        $bare = array_values(array_filter($runs, $this->bare(...)));
        if ($bare === []) {
            return [];
        }
        $boards = array_filter(
            array_map(static fn(Run $r): string => $r->controller ?? '', $runs),
            fn(string $c): bool => $this->tables->plan->controller($c)?->pixels !== null,
        );
        $there = array_values(array_unique($boards));
        $key = "{$place}/{$source->decision()}/" . implode(' ', [...self::ids($bare), ...$there]);
        if (!isset($this->sets[$key])) {
            $driven = array_values(
                array_filter($bare, fn(Run $r): bool => $this->cheapest([$r], $there, $place, $source) !== null),
            );
            // Where outputs are left for some of them only, the last ones stay without.
            while (($set = $this->parted($driven, $there, $place, $source)) === null) {
                array_pop($driven);
            }
            $this->sets[$key] = $set[1];
        }

        return $this->sets[$key];
    }

    /** @return array<string, KitSnapshot> boards of the shelf that can drive a run that has none, by id */
    public function fitting(Run $run, string $place, PowerSource $source): array
    {
        $kits = [];
        foreach ($this->bare($run) ? $this->all([$run], [], $place, $source) : [] as $board) {
            $kits[$board->kit->entry->id()] = $board->kit;
        }

        return $kits;
    }

    public function bare(Run $run): bool
    {
        return $run->controller === null && !$this->tables->strip($run)->switched();
    }

    /**
     * @param  list<Run>  $runs
     * @param  list<string>  $there
     * @return array{int, list<PlannedBoard>}|null least sum, with its boards; null where a run has none
     */
    private function parted(array $runs, array $there, string $place, PowerSource $source): ?array
    {
        if ($runs === []) {
            return [0, []];
        }
        $best = null;
        foreach (self::groups($runs) as $group) {
            $others = array_values(array_filter($runs, static fn(Run $r): bool => !in_array($r, $group, true)));
            // The outputs that a board has left are given to one group, not to two; the group may also do without them.
            for ($free = $there; ($board = $this->cheapest($group, $free, $place, $source)) !== null; ) {
                $left = array_values(array_diff($there, [$board->unit]));
                $rest = $this->parted($others, $left, $place, $source);
                if ($rest !== null && ($best === null || $board->cost + $rest[0] < $best[0])) {
                    $best = [$board->cost + $rest[0], [$board, ...$rest[1]]];
                }
                if ($board->unit === null) {
                    break;
                }
                $free = array_values(array_diff($free, [$board->unit]));
            }
        }

        return $best;
    }

    /**
     * @param  non-empty-list<Run>  $runs
     * @return iterable<non-empty-list<Run>> groups with the first of them that may share a board
     */
    private static function groups(array $runs): iterable
    {
        $first = array_shift($runs);
        if (count($runs) >= self::MANY) {
            for ($count = 0; $count <= count($runs); $count++) {
                yield [$first, ...array_slice($runs, 0, $count)];
            }

            return;
        }
        for ($set = 0; $set < 2 ** count($runs); $set++) {
            yield [
                $first,
                ...array_values(
                    array_filter($runs, static fn(int $n): bool => (($set >> $n) & 1) === 1, ARRAY_FILTER_USE_KEY),
                ),
            ];
        }
    }

    /**
     * @param  non-empty-list<Run>  $runs
     * @param  list<string>  $there  boards of the runs on the supply
     */
    private function cheapest(array $runs, array $there, string $place, PowerSource $source): ?PlannedBoard
    {
        $key = "{$place}/{$source->decision()}/" . implode(' ', self::ids($runs)) . '/' . implode(' ', $there);
        if (array_key_exists($key, $this->boards)) {
            return $this->boards[$key];
        }
        $boards = [...$this->all($runs, $there, $place, $source)];
        // Together they get no more warnings than each alone, and each alone as few as it can.
        $most =
            count($runs) === 1
                ? min([PHP_INT_MAX, ...array_map(static fn(PlannedBoard $b): int => $b->warnings, $boards)])
                : array_sum(
                    array_map(fn(Run $r): int => $this->cheapest([$r], $there, $place, $source)->warnings ?? 0, $runs),
                );
        $best = null;
        foreach ($boards as $board) {
            if ($board->warnings <= $most && ($best === null || $board->cost < $best->cost)) {
                $best = $board;
            }
        }

        return $this->boards[$key] = $best;
    }

    /**
     * @param  non-empty-list<Run>  $runs
     * @param  list<string>  $there
     * @return iterable<PlannedBoard>
     */
    private function all(array $runs, array $there, string $place, PowerSource $source): iterable
    {
        foreach ($there as $unit) {
            $kit = $this->tables->plan->kit[$this->tables->plan->controllers[$unit]->kit];
            $leads = $this->leads($runs, $kit, '', $unit, $source);
            if ($leads !== null) {
                [$part, $warnings] = $leads;
                yield new PlannedBoard(
                    runs: $runs,
                    kit: $kit,
                    unit: $unit,
                    place: '',
                    cable: null,
                    metres: 0.0,
                    fuse: null,
                    cost: $part->cost,
                    joints: $part->joints + $part->data,
                    warnings: $warnings,
                );
            }
        }
        $boards = $this->tables->priced->ofKind(
            'board',
            static fn(object $c): bool => $c instanceof Controller &&
                $c->pixels?->trial === false &&
                InputRange::suits($c, $source->supply),
        );
        foreach ($boards as $kit) {
            foreach ($this->tables->places($runs, false) as $at) {
                $leads = $this->leads($runs, $kit, $at, null, $source);
                $made = $leads === null ? null : $this->made($runs, $kit, $at, $leads, $place, $source);
                if ($made !== null) {
                    yield $made;
                }
            }
        }
    }

    /**
     * A new board behind its cheapest cable; null where the shelf has none that is protected.
     *
     * @param  non-empty-list<Run>  $runs
     * @param  array{PartCost, int}  $leads
     */
    private function made(
        array $runs,
        KitSnapshot $kit,
        string $at,
        array $leads,
        string $place,
        PowerSource $source,
    ): ?PlannedBoard {
        [$part, $warnings] = $leads;
        $metres = $this->tables->routes->trunk($place, $at);
        $cores = $source->tapped() ? RunBlock::TRUNK / 2 : RunBlock::TRUNK;
        $costs = $this->tables->costs;
        $best = null;
        foreach ($this->tables->priced->cables(2) as $cable) {
            $fuse = $source->guard($this->tables->priced, $this->tables->carries($cable));
            if ($fuse === null && !$source->spares($this->tables->carries($cable))) {
                continue;
            }
            $cost =
                $costs->unit($kit) +
                $part->cost +
                $costs->cable($cable, $metres) +
                $costs->terminals($cores) +
                ($fuse === null ? 0 : $costs->fuse($fuse));
            if ($best === null || $cost < $best->cost) {
                $best = new PlannedBoard(
                    runs: $runs,
                    kit: $kit,
                    unit: null,
                    place: $at,
                    cable: $cable,
                    metres: $metres,
                    fuse: $fuse,
                    cost: $cost,
                    joints: $part->joints + $part->data + $cores + ($fuse === null ? 0 : Joints::FUSED),
                    warnings: $warnings,
                );
            }
        }

        return $best;
    }

    /**
     * Cost and joints of data leads and settings of runs on a board, and the number of warnings; null if a check stops it.
     *
     * @param  non-empty-list<Run>  $runs
     * @return array{PartCost, int}|null
     */
    private function leads(array $runs, KitSnapshot $kit, string $at, ?string $unit, PowerSource $source): ?array
    {
        $key = implode(' ', self::ids($runs)) . "/{$kit->entry->id()}/{$at}/{$unit}";
        if (array_key_exists($key, $this->leads)) {
            return $this->leads[$key];
        }
        $plan = $this->on($runs, $kit, $at, $unit, $source);
        $ids = array_keys(
            array_filter(
                $plan->runs,
                static fn(Run $r): bool => $r->controller === $plan->run($runs[0]->id)->controller,
            ),
        );
        $warnings = 0;
        foreach ((new PixelBoards())->check(JudgedJob::plan(PlanExcerpt::for($plan, $ids), [])) as $finding) {
            if ($finding->severity === Severity::Stop) {
                return $this->leads[$key] = null;
            }
            $warnings += $finding->severity === Severity::Watch ? 1 : 0;
        }
        $with = new PartCosts($plan, $this->tables->costs, $this->tables->shelf);
        $without = new PartCosts($this->tables->plan, $this->tables->costs, $this->tables->shelf);
        $cost = $joints = $data = 0;
        foreach ($runs as $run) {
            [$then, $now] = [$with->costs($plan->run($run->id), false), $without->costs($run, false)];
            $cost += $then->cost - $now->cost;
            $joints += $then->joints - $now->joints;
            $data += $then->data - $now->data;
        }

        return $this->leads[$key] = [new PartCost($cost, $joints, $data), $warnings];
    }

    /**
     * The plan with these runs on a board and on a supply, without cables.
     *
     * @param  non-empty-list<Run>  $runs
     */
    private function on(array $runs, KitSnapshot $kit, string $at, ?string $unit, PowerSource $source): Plan
    {
        $plan = $this->tables->plan;
        $board = $unit ?? Plan::nextId('c', $plan->controllers);
        $supply = Plan::nextId('s', $plan->supplies);
        $equipped = [];
        foreach ($runs as $run) {
            $plan = $plan->fedBy($run, []);
            $equipped[$run->id] = $run->equipped($run->strip, $supply, $board);
        }
        $stands = Routes::where($at) === '' ? null : new Standing($runs[0]->place, $at);

        return $plan->with(
            kit: [$kit->entry->id() => $kit, $source->unit->entry->id() => $source->unit] + $plan->kit,
            supplies: [$supply => new Device($supply, $source->unit->entry->id())] + $plan->supplies,
            controllers: $plan->controllers + [$board => new Device($board, $kit->entry->id(), stands: $stands)],
            runs: $equipped + $plan->runs,
        );
    }

    /**
     * @param  list<Run>  $runs
     * @return list<string>
     */
    private static function ids(array $runs): array
    {
        return array_map(static fn(Run $r): string => $r->id, $runs);
    }
}
