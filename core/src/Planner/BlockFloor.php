<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Checks\Protection\Guard;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Run;

/**
 * Least cost of runs under one controller with its trunk; of pixels one run straight on its supply. The least current of the runs must pass
 * fuse, controller and cables. Costs in hundredths of the smallest coin.
 */
final class BlockFloor
{
    /** @var list<float> amps of the fuses, the smallest first */
    private readonly array $fuses;

    /** @var array<string, list<KitSnapshot>> by the ids of runs */
    private array $controllers = [];

    /** @var array<string, float> of trunks, by their ends */
    private array $metres = [];

    /**
     * @param  list<string>  $places  of controllers
     * @param  float  $tight  factor on volts lost: 1 for a bound, more for layouts that are likely to hold
     * @param  float|null  $load  share of its full load that a run takes; null: what it takes at least, for a bound
     */
    public function __construct(
        private readonly Search $search,
        private readonly array $places,
        private readonly float $tight,
        private readonly ?float $load,
    ) {
        $fuses = $search->tables->fuseAmps();
        sort($fuses);
        $this->fuses = $fuses;
    }

    /**
     * Amps of runs.
     *
     * @param  non-empty-list<Run>  $runs
     */
    public function amps(array $runs): float
    {
        $proof = $this->search->proof->amps;
        $amps = 0.0;
        foreach ($runs as $run) {
            $amps += $this->load === null ? $proof->least($run) : $this->load * $proof->nominal($run);
        }

        return $amps;
    }

    /**
     * Ways to protect the cables of a block: all carry the supply's overload, or there is a fuse that its load needs and that all carry.
     *
     * @param  non-empty-list<Run>  $runs
     * @return list<CableGuard>
     */
    public function guards(array $runs, PowerSource $source): array
    {
        // Each feed of pixels has a fuse of its own, and carries at least its share.
        $switched = $this->search->tables->strip($runs[0])->switched();
        $load = Guard::needs($this->amps($runs) / ($switched ? 1 : Feeding::MOST));
        $overload = $source->supply->overloadAmps;
        $fuses = array_values(
            array_filter(
                $this->fuses,
                static fn(float $amps): bool => $amps >= $load - 1e-3 && $amps < $overload - 1e-9,
            ),
        );
        $cost = $this->search->tables->leastFuse();

        return [
            new CableGuard($overload, INF, 0),
            ...array_map(
                static fn(float $amps): CableGuard => new CableGuard(
                    $amps,
                    $switched ? INF : $amps / Guard::needs(1.0),
                    $cost,
                ),
                array_slice($fuses, 0, $switched ? 1 : null),
            ),
        ];
    }

    /**
     * The least cost behind a guard, with the block that it is of; null where nothing fits.
     *
     * @param  non-empty-list<Run>  $runs
     * @param  string  $place  of the supply
     * @param  bool  $tapped  at the posts of a bank, which need no terminals
     * @return array{int, RunBlock}|null
     */
    public function least(array $runs, string $place, CableGuard $guard, bool $tapped): ?array
    {
        $tables = $this->search->tables;
        $switched = $tables->strip($runs[0])->switched();
        $controllers = $switched ? $this->controllers($runs) : [];
        $controller = $controllers[0] ?? null;
        $unit = $controller === null ? 0 : $tables->costs->unit($controller) + $guard->cost;
        $best = null;
        $inside = $this->inside($runs);
        foreach ($switched ? $this->places : [$place] as $at) {
            foreach ($switched ? $this->trunks($runs[0], $guard->carries) : [null] as $trunk) {
                $ohms = $trunk === null ? 0.0 : $tables->ohms($trunk, $this->metres($place, $at));
                $feeds = $this->feeds($runs, $at, new BlockOhms($ohms, ...$inside), $guard, $tapped && !$switched);
                if ($feeds === []) {
                    continue;
                }
                $block = new RunBlock($controller, $at, $trunk, $feeds);
                $cost = $unit + $this->cables($block, $place, $guard);
                $cost -= $tapped ? $tables->costs->terminals($block->starts($tables)) : 0;
                if ($best === null || $cost < $best[0]) {
                    $best = [$cost, $block];
                }
            }
        }

        return $best;
    }

    /**
     * Least and most ohms inside any of the controllers of runs, for the amps of all channels together, and the most amps that flow there.
     *
     * @param  non-empty-list<Run>  $runs
     * @return array{float, float, float}
     */
    private function inside(array $runs): array
    {
        $channels = count($this->search->tables->strip($runs[0])->channels);
        $ohms = [];
        foreach ($this->controllers($runs) as $controller) {
            $ohms[] = $controller->entry instanceof Controller ? $controller->entry->inside($channels) : 0.0;
        }

        return [
            $ohms === [] ? 0.0 : min($ohms),
            max([0.0, ...$ohms]),
            array_sum(array_map($this->search->proof->amps->most(...), $runs)),
        ];
    }

    /** Cost of a block without its controller, and without the fuse of its trunk. */
    private function cables(RunBlock $block, string $place, CableGuard $guard): int
    {
        $tables = $this->search->tables;
        $cost = 0;
        foreach ($block->feeds as $feed) {
            $cost += $feed->cost;
            // Without a trunk each cable from the supply has its own.
            $cost += $block->trunk !== null ? 0 : $guard->cost * ($feed->leg === null ? count($feed->pads) : 1);
        }
        if ($block->trunk !== null) {
            $cost += $tables->costs->cable($block->trunk, $this->metres($place, $block->place));
            $cost += $tables->costs->terminals(RunBlock::TRUNK);
        }

        return $cost;
    }

    /** Trunk of a run of a block, with the least loss of the other runs in it. */
    public function room(RunBlock $block, FeedOption $feed, float $ohms): FeedRoom
    {
        $others = 0.0;
        foreach ($block->feeds as $other) {
            $others += $other->run === $feed->run ? 0.0 : $this->amps([$this->search->tables->plan->run($other->run)]);
        }

        return new FeedRoom(INF, ohms: $ohms, others: ($ohms + BlockOhms::ENDS) * $others);
    }

    /**
     * Likely share of the strip's volts at the hub of runs behind a trunk.
     *
     * @param  non-empty-list<Run>  $runs
     * @param  float  $ohms  of the trunk
     */
    public function share(array $runs, float $ohms): float
    {
        $volts = $this->search->tables->strip($runs[0])->volts;

        return FeedBound::source($this->search->tables, $volts) - ($ohms * $this->amps($runs)) / $volts;
    }

    /**
     * Cheapest way of feeding for each run, within the volts and fuse amps that the least current of the other runs leaves.
     *
     * @param  non-empty-list<Run>  $runs
     * @param  string  $place  of their controller
     * @param  bool  $posts  at the posts of a bank
     * @return list<FeedOption> empty where a run has none
     */
    private function feeds(array $runs, string $place, BlockOhms $ohms, CableGuard $guard, bool $posts): array
    {
        $amps = $this->amps($runs);
        $volts = $this->search->tables->strip($runs[0])->volts;
        $feeds = [];
        foreach ($runs as $run) {
            $limit = $this->search->proof->solver->limit($run) + FeedProof::MISSED;
            $others = $amps - $this->amps([$run]);
            $room =
                $this->load === null
                    ? new FeedRoom(
                        $limit,
                        $limit - ($ohms->trunk() + $ohms->least) * $others,
                        $ohms->copper,
                        $guard->each,
                        $ohms->trunk() * $others,
                        FeedBound::highest($this->search->tables, $volts) -
                            $ohms->lost($this->search->proof->amps->most($run)) / $volts,
                    )
                    : new FeedRoom(
                        ($limit - $ohms->copper * $amps) / $this->tight,
                        least: $this->share($runs, $ohms->copper),
                    );
            $feed =
                $ohms->copper * $amps > $limit
                    ? null
                    : $this->search->proof->cheapest(
                        run: $run,
                        place: $place,
                        capacity: $guard->carries,
                        room: $room,
                        likely: $this->load !== null,
                        posts: $posts,
                    );
            if ($feed === null) {
                return [];
            }
            $feeds[] = $feed;
        }

        return $feeds;
    }

    /**
     * Controllers that carry runs that are alike, the cheapest first.
     *
     * @param  non-empty-list<Run>  $runs
     * @return list<KitSnapshot>
     */
    public function controllers(array $runs): array
    {
        $key = implode(' ', array_map(static fn(Run $r): string => $r->id, $runs));
        if (!isset($this->controllers[$key])) {
            $tables = $this->search->tables;
            $strip = $tables->strip($runs[0]);
            $amps = $this->amps($runs);
            $fits = $strip->switched() && (new Sharing($tables))->together($runs);
            $this->controllers[$key] = array_values(
                array_filter(
                    $fits ? $tables->controllers($runs, false) : [],
                    static fn(KitSnapshot $c): bool => !($c->entry instanceof Controller) ||
                        $amps <= $c->entry->bears(count($strip->channels)) + 1e-6,
                ),
            );
        }

        return $this->controllers[$key];
    }

    /** @return list<KitSnapshot> trunks to a controller that carry so many amps */
    private function trunks(Run $run, float $carries): array
    {
        return array_values(
            array_filter(
                $this->search->tables->trunks([$run]),
                fn(?KitSnapshot $cable): bool => $cable !== null &&
                    $this->search->tables->carries($cable) >= $carries - 1e-9,
            ),
        );
    }

    private function metres(string $from, string $to): float
    {
        return $this->metres["{$from}/{$to}"] ??= $this->search->tables->routes->trunk($from, $to);
    }
}
