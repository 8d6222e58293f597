<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Costing\Basis;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/**
 * The cheapest wiring of runs within every limit (docs/model.md 8): feeds, cables, shared controllers and supplies, models, positions, fuses. Bounds
 * are on cost only: lower volts at a hub can improve evenness.
 */
final readonly class Planner
{
    /** Solves after a stop. */
    private const GRACE = 80;

    /**
     * @param  list<string>  $runs ids; unplannable ones are named in the proposal
     * @param  list<string>  $keep  of Run::PINS, kept for all of them on top of what each has pinned
     * @param  PlanJudge  $judge  with the checks that bind
     * @param  Wish|null  $wish  a choice that is kept to, whatever it costs
     * @param  int|null  $most  layouts that are solved for each set of runs, then without alternatives; null is the usual, with them
     * @param  bool  $waysOut  whether changes that lead out of a clash are searched for
     */
    public static function propose(
        Plan $plan,
        array $runs,
        Basis $basis,
        array $keep = [],
        ?PlannerProgress $watch = null,
        PlanJudge $judge = new PlanJudge(),
        ?Wish $wish = null,
        ?int $most = null,
        bool $waysOut = false,
    ): Proposal {
        $watch ??= new PlannerProgress();
        $brief = $most !== null || $wish !== null;
        $left = [];
        $ready = $banks = [];
        foreach ($runs as $id) {
            $run = $plan->run($id);
            $bank = RunBank::for($plan, $run, $basis->shelf);
            $why = self::unready($plan, $run, $keep, $bank);
            if ($why === null) {
                $banks += $bank !== null && self::batteries($plan, $run) ? [$id => $bank] : [];
                $ready[] = $run->pinned(array_values(array_unique([...$run->pins, ...$keep])));
            } else {
                $left[$id] = $why;
            }
        }
        $pinned = $plan->with(
            runs: array_combine(array_map(static fn(Run $r): string => $r->id, $ready), $ready) + $plan->runs,
        );
        $groups = [];
        $clashes = [];
        $known = new FeedKinds();
        foreach (Sharing::groups($pinned, $ready, $banks) as $of) {
            $tables = new Tables(
                $pinned->with(
                    runs: array_combine(array_map(static fn(Run $r): string => $r->id, $of), $of) + $pinned->runs,
                ),
                $of[0]->place,
                $basis,
                $wish,
                $banks[$of[0]->id] ?? null,
            );
            $group = new Group(
                new Search($tables, $basis->shelf, $watch, $judge, $known),
                $of,
                Aim::Cost,
                $most ?? ($wish === null ? Search::MOST : Search::BRIEF),
                $most !== null,
            );
            $groups[] = $group;
            try {
                $group->solve();
                if (!$group->complete() && ($wish !== null || !$brief)) {
                    foreach ($group->clashes($brief ? Search::BRIEF : ClashSearch::MOST) as $clash) {
                        $clashes[] = $clash;
                    }
                }
            } catch (SearchStopped) {
                continue;
            }
        }
        if ($watch->stopped()) {
            self::rest($groups, $watch);
        }

        $alternatives = $watch->stopped() || $brief ? [] : Alternatives::from($groups);
        if ($waysOut && !$watch->stopped()) {
            $clashes = self::waysOut($plan, $clashes, $basis, $keep, $watch, $judge);
        }

        return new Proposal(
            plan: $plan,
            basis: $basis,
            judge: $judge,
            groups: $groups,
            clashes: $clashes,
            left: $left,
            solved: $watch->solved,
            stopped: $watch->stopped(),
            alternatives: $alternatives,
            wishes: $brief ? [] : Wish::choices($groups),
        );
    }

    /**
     * Clashes with the ways out of each.
     *
     * @param  list<Clash>  $clashes
     * @param  list<string>  $keep  that no way out changes either
     * @return list<Clash>
     */
    private static function waysOut(
        Plan $plan,
        array $clashes,
        Basis $basis,
        array $keep,
        PlannerProgress $watch,
        PlanJudge $judge,
    ): array {
        $planned = static fn(Plan $made, int $most, string ...$of): Proposal => self::propose(
            plan: $made,
            runs: array_values($of),
            basis: $basis,
            keep: $keep,
            watch: $watch,
            judge: $judge,
            most: $most,
        );

        return array_map(
            static fn(Clash $c): Clash => $c->with(ClashWays::for($plan, $c, $basis->shelf, $planned)),
            $clashes,
        );
    }

    /**
     * After a stop, runs without a result get a simple layout, within a few solves.
     *
     * @param  list<Group>  $groups
     */
    private static function rest(array $groups, PlannerProgress $watch): void
    {
        $watch->grace(self::GRACE);
        try {
            foreach ($groups as $group) {
                if (!$group->complete()) {
                    $group->quick();
                }
            }
        } catch (SearchStopped) {
            return;
        }
    }

    /**
     * Reason why a run is left unchanged; null if it can be planned.
     *
     * @param  list<string>  $keep
     */
    private static function unready(Plan $plan, Run $run, array $keep, ?RunBank $bank): ?string
    {
        $free = !in_array('kit', [...$keep, ...$run->pins], true);
        $strip = $plan->strip($run->strip);
        $spliced = array_filter(
            $plan->ways()->feedsOf($run),
            static fn($f): bool => isset($plan->splices[$plan->ways()->cableTo($f->id)->from ?? '']),
        );

        return match (true) {
            $strip === null => 'has no strip yet',
            $free && $bank === null && self::batteries($plan, $run)
                => 'has no mains, and its bank is not known: choose its blocks at Kit first',
            $free && $bank !== null && self::batteries($plan, $run) && !$bank->whole($plan, $run)
                => 'taps part of its bank, which drains these blocks more than the others: choose a converter at Kit first',
            $free && $bank !== null && self::batteries($plan, $run) && !self::within($plan, $run, $bank)
                => 'has its bank in another place: connect a converter at Kit first, with the length of its cable',
            $plan->controller($run->controller)?->repeats === true => 'is driven by a repeater',
            array_filter($plan->runs, static fn(Run $r): bool => $plan->of($r)->before()?->id === $run->id) !== []
                => 'is repeated into another run',
            $run->zones !== [] => 'is fed from several supplies',
            $spliced !== [] && (in_array('feeds', $keep, true) || in_array('feeds', $run->pins, true))
                => 'is fed by taps that stay',
            default => null,
        };
    }

    /** Whether a run is planned on batteries: it is on one, or has no mains. */
    private static function batteries(Plan $plan, Run $run): bool
    {
        return $plan->power()->onBattery($run) || $plan->power()->withoutMains($run);
    }

    /** Whether cables from a bank can be measured: it is in the run's place, or a cable leads from it to a converter of the run already. */
    private static function within(Plan $plan, Run $run, RunBank $bank): bool
    {
        return $bank->place === $run->place ||
            ($bank->unit !== null &&
                ($run->supply === $bank->unit ||
                    array_filter(
                        $plan->supplies,
                        static fn($s): bool => $s->bank === $bank->unit && $plan->ways()->cableTo($s->id) !== null,
                    ) !== []));
    }
}
