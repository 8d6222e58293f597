<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Checks\Controller\ControllerAmps;
use EmberDusk\Costing\Basis;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Fuse;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Kit\Strip;
use EmberDusk\Plan\CableRating;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\ExistingLegs;
use EmberDusk\Plan\Routes\LegChain;
use EmberDusk\Plan\Routes\LegEnd;
use EmberDusk\Plan\Routes\LegWay;
use EmberDusk\Plan\Routes\Routes;
use EmberDusk\Plan\Run;
use EmberDusk\Rates\Joints;
use EmberDusk\Rates\UnitCosts;
use EmberDusk\Survey\WallNotes;

/** Everything that can be chosen for the runs of one place, with its price in hundredths of the smallest coin. What has no price is not proposed. */
final class Tables
{
    /** Key prefix of a tapped leg's pattern. */
    public const LEG = 'leg ';

    public readonly Routes $routes;

    public readonly PricedShelf $priced;

    public readonly PowerSources $sources;

    /** @var array<string, list<FeedOption>> */
    private array $feeds = [];

    /** @var array<string, array<string, FeedOption>> by decision */
    private array $byDecision = [];

    /** @var array<string, array<string, list<int>>> */
    private array $patterns = [];

    /** @var array<string, array<string, list<int>>> */
    private array $spots = [];

    private readonly PartCosts $partCosts;

    private ?int $leastFuse = null;

    /** °C that the air reaches where these runs are. */
    private readonly float $air;

    public readonly ShelfSource $shelf;

    public readonly UnitCosts $costs;

    /** @param  RunBank|null  $bank  of runs without mains */
    public function __construct(
        public readonly Plan $plan,
        string $place,
        Basis $basis,
        public readonly ?Wish $wish = null,
        ?RunBank $bank = null,
    ) {
        $this->shelf = $basis->shelf;
        $this->costs = new UnitCosts($plan->terms, $basis->crew);
        $this->partCosts = new PartCosts($plan, $this->costs, $basis->shelf);
        $this->air = WallNotes::read($plan->places[$place]->notes ?? '')->site->air ?? 30.0;
        $this->routes = new Routes($plan, $place);
        $this->priced = new PricedShelf($plan, $basis->shelf, $wish);
        $this->sources = new PowerSources($this, $bank);
    }

    /**
     * Possible places of supplies or controllers of runs.
     *
     * @param  non-empty-list<Run>  $runs
     * @return list<string>
     */
    public function places(array $runs, bool $supply): array
    {
        $places = $supply ? $this->sources->places($runs) : $this->routes->places($runs, false);
        if ($supply || $this->wish?->kind !== WishKind::Place) {
            return $places;
        }

        // Runs of another place have other boxes.
        return in_array($this->wish->of, $places, true) ? [$this->wish->of] : $places;
    }

    /**
     * @param  bool  $posts  from the posts of a bank, which need no terminals
     * @return list<FeedOption> of a run from a place, the least in rank first
     */
    public function feeds(Run $run, string $place, Aim $aim, bool $posts = false): array
    {
        $key = "{$run->id}/{$place}/{$aim->value}";
        $this->feeds[$key] ??= $this->feedOptions($run, $place, $aim);
        if (!$posts) {
            return $this->feeds[$key];
        }
        if (!isset($this->feeds["{$key}/posts"])) {
            $rank = function (FeedOption $f) use ($aim): int {
                $starts = $this->starts($f);

                return $aim->rank($f->cost - $this->costs->terminals($starts), $f->joints - $starts, 0);
            };
            $options = $this->feeds[$key];
            usort($options, static fn(FeedOption $a, FeedOption $b): int => $rank($a) <=> $rank($b));
            $this->feeds["{$key}/posts"] = $options;
        }

        return $this->feeds["{$key}/posts"];
    }

    /** The same way of feeding from another place. */
    public function elsewhere(FeedOption $option, string $place, Aim $aim): ?FeedOption
    {
        $key = "{$option->run}/{$place}/{$aim->value}";
        if (!isset($this->byDecision[$key])) {
            foreach ($this->feeds($this->plan->run($option->run), $place, $aim) as $other) {
                $this->byDecision[$key][implode('/', $other->decision())] = $other;
            }
        }

        return $this->byDecision[$key][implode('/', $option->decision())] ?? null;
    }

    /** Whether undersized units are tried. With a wish only those of its kind: the clash then names its limits alone. */
    public function all(bool $all, WishKind $kind): bool
    {
        return $all && ($this->wish === null || $this->wish->kind === $kind);
    }

    /**
     * Controllers that suit a strip and carry all the metres.
     *
     * @param  non-empty-list<Run>  $runs  that share it
     * @param  bool  $all including undersized ones
     * @return list<KitSnapshot>
     */
    public function controllers(array $runs, bool $all): array
    {
        $strip = $this->strip($runs[0]);
        $metres = array_sum(array_map(fn(Run $r): float => $this->plan->of($r)->litLength(), $runs));

        return $this->kept($runs, 'kit', $this->plan->controllers[$runs[0]->controller ?? '']->kit ?? null) ??
            $this->priced->ofKind(
                'controller',
                fn(object $c): bool => $c instanceof Controller &&
                    !$c->repeats &&
                    $c->inputLeast <= $strip->volts &&
                    $strip->volts <= $c->inputMost &&
                    $c->channels >= count($strip->channels) &&
                    in_array($strip->colours(), $c->modes, true) &&
                    $this->speaks($runs, $c) &&
                    ($this->all($all, WishKind::Controller) || $metres <= ControllerAmps::metres($strip, $c) + 1e-9),
            );
    }

    /**
     * @param  non-empty-list<Run>  $runs
     * @return list<KitSnapshot|null> cables of a trunk; one null where pixels have none
     */
    public function trunks(array $runs): array
    {
        if (!$this->strip($runs[0])->switched()) {
            return [null];
        }

        return $this->kept($runs, 'cables', $this->plan->ways()->cableTo($runs[0]->controller ?? '')->kit ?? null) ??
            $this->priced->cables(2);
    }

    /** @return list<float> amps of the fuses */
    public function fuseAmps(): array
    {
        return array_map(
            static fn(KitSnapshot $f): float => $f->entry instanceof Fuse ? $f->entry->amps : 0.0,
            $this->priced->ofKind('fuse', static fn(object $f): bool => true),
        );
    }

    /** Of any fuse in a cable, with its joints. */
    public function leastFuse(): int
    {
        return $this->leastFuse ??= min([
            PHP_INT_MAX,
            ...array_map($this->costs->fuse(...), $this->priced->ofKind('fuse', static fn(object $f): bool => true)),
        ]);
    }

    /** Amps that a cable is rated for here. */
    public function carries(KitSnapshot $cable): float
    {
        return $cable->entry instanceof Cable ? CableRating::laidIn($cable->entry, $this->air) : 0.0;
    }

    /** Ohms of both cores of a trunk. */
    public function ohms(KitSnapshot $cable, float $metres): float
    {
        return $cable->entry instanceof Cable
            ? 2 * $cable->entry->conductor->ohms($metres, $this->plan->limits->cableCelsius)
            : 0.0;
    }

    public function strip(Run $run): Strip
    {
        return $this->plan->strip($run->strip) ?? throw new \LogicException('Only runs with a strip are planned.');
    }

    /** @return list<FeedOption> */
    private function feedOptions(Run $run, string $place, Aim $aim): array
    {
        $cores = $this->cores($run);
        $options = [];
        foreach ($this->pads($run, $place) as $pattern => $pads) {
            foreach (TailCables::for($this->plan, $this->priced, $run, $cores, $pads) as $tails) {
                $options[] = $this->option(
                    run: $run,
                    place: $place,
                    pattern: $pattern,
                    pads: $pads,
                    tails: $tails,
                    leg: null,
                );
            }
        }
        // A leg feeds a run at both its ends.
        $legs =
            !in_array('feeds', $run->pins, true) &&
            ($this->wish?->kind !== WishKind::Feeds || (int) $this->wish->of === 2);
        foreach (!$legs ? [] : ExistingLegs::for($this->plan, $run, $this->shelf) as $name => $leg) {
            foreach (TailCables::for($this->plan, $this->priced, $run, $cores, [0]) as $tails) {
                $options[] = $this->option(
                    run: $run,
                    place: $place,
                    pattern: self::LEG . $name,
                    pads: [],
                    tails: [$tails[0]],
                    leg: $leg,
                );
            }
        }
        usort(
            $options,
            static fn(FeedOption $a, FeedOption $b): int => [$aim->rank($a->cost, $a->joints, 0), $a->decision()] <=> [
                $aim->rank($b->cost, $b->joints, 0),
                $b->decision(),
            ],
        );

        return $options;
    }

    /** @return array<string, list<int>> pads by pattern, and by the places along a run that are worth it from here */
    private function pads(Run $run, string $place): array
    {
        $feeding = new Feeding($this->plan, $run);
        $wished = fn(array $pads): bool => $this->wish?->kind !== WishKind::Feeds ||
            count($pads) === (int) $this->wish->of;
        $patterns = $this->patterns[$run->id] ??= array_filter($feeding->for(), $wished);
        $spots = $this->spots[$run->id] ??= array_filter($feeding->spots($feeding->for()), $wished);
        if ($spots === []) {
            return $patterns;
        }
        $marks = $this->plan->of($run)->marks();

        return $patterns + (new FeedPlaces($this->routes))->worth($run, $marks, $place, $patterns, $spots);
    }

    /**
     * @param  list<int>  $pads
     * @param  non-empty-list<KitSnapshot>  $tails  one for all pads, or one for each
     */
    private function option(
        Run $run,
        string $place,
        string $pattern,
        array $pads,
        array $tails,
        ?LegWay $leg,
    ): FeedOption {
        $lengths = [];
        $part = $this->partCosts->costs($run, $pattern === Feeding::HALVES);
        [$cost, $joints] = [$part->cost, $part->joints];
        $used = null;
        $terminals = 0;
        if ($leg !== null) {
            $chain = LegChain::single($leg, fn(LegEnd $e): float => $this->routes->lead($place, $e));
            [$near, $far] = $chain->ends;
            $used = new LegUse($leg, $near, $far, $chain->lead);
            $pads = [$near->pad, $far->pad];
            // The lead to the leg is new cable, joined at both ends; the leg itself at its far one.
            $cost += $this->costs->cable($tails[0], $chain->lead);
            $terminals = $this->partCosts->cores($run, $tails[0]);
            $joints += Joints::ofTail($terminals);
        }
        $each = [];
        foreach ($pads as $n => $pad) {
            $tail = $tails[$n] ?? $tails[0];
            $at = $pattern === Feeding::HALVES && $n === 1 ? $this->plan->of($run)->marks()->lastPad() : $pad;
            $lengths[] = $used === null ? $this->routes->tail($place, $run, $at) : $used->drops()[$n];
            $cost += $this->costs->cable($tail, $lengths[$n]);
            $each[] = $tail;
            $cores = $this->partCosts->cores($run, $tail);
            $joints += $leg === null ? Joints::ofTail($cores) : $cores;
            $terminals += $leg === null ? $cores : 0;
        }
        $joints += $leg === null ? 0 : $this->partCosts->cores($run, $leg->kit);
        $conductors = array_map($this->carries(...), $each);
        if ($leg !== null && $leg->kit->entry instanceof Cable) {
            $conductors[] = CableRating::laidIn($leg->kit->entry, $this->air, $leg->laid);
        }

        return new FeedOption(
            run: $run->id,
            pattern: $pattern,
            pads: $pads,
            tails: $each,
            lengths: $lengths,
            leg: $used,
            capacity: min([INF, ...$conductors]),
            cost: $cost + $this->costs->joints($joints - $terminals) + $this->costs->terminals($terminals),
            joints: $joints + $part->data,
        );
    }

    /** Cores of a way of feeding at its start. */
    public function starts(FeedOption $option): int
    {
        $run = $this->plan->run($option->run);
        $cores = array_map(fn(KitSnapshot $t): int => $this->partCosts->cores($run, $t), $option->tails);

        return $option->leg === null ? array_sum($cores) : $cores[0];
    }

    /** Cores that a feed of a run needs. */
    public function cores(Run $run): int
    {
        return count($this->strip($run)->channels) + 1;
    }

    /**
     * Pinned parts, as they are now.
     *
     * @param  non-empty-list<Run>  $runs
     * @return list<KitSnapshot>|null null where nothing is
     */
    private function kept(array $runs, string $pin, ?string $kit): ?array
    {
        foreach ($runs as $run) {
            if (in_array($pin, $run->pins, true) && isset($this->plan->kit[$kit ?? ''])) {
                return [$this->plan->kit[$kit ?? '']];
            }
        }

        return null;
    }

    /**
     * A run keeps the way of control that it has.
     *
     * @param  non-empty-list<Run>  $runs
     */
    private function speaks(array $runs, Controller $controller): bool
    {
        foreach ($runs as $run) {
            $now = $this->plan->controller($run->controller);
            if ($now !== null && $now->family !== $controller->family) {
                return false;
            }
        }

        return true;
    }
}
