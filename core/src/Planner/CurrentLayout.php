<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Registry;
use EmberDusk\Costing\Basis;
use EmberDusk\Costing\ChangedLine;
use EmberDusk\Costing\Costing;
use EmberDusk\Costing\Moving;
use EmberDusk\Costing\MovingFigures;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Changes\Wires\SetCable;
use EmberDusk\Plan\Changes\Wires\SetFeeds;
use EmberDusk\Plan\CutMarks;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\Routes;
use EmberDusk\Plan\Run;
use EmberDusk\Rates\UnitCosts;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Refusal;

/** Compares the current layout with the proposal: its price line by line, its broken limits, and the cheapest single change that repairs it. */
final readonly class CurrentLayout
{
    private function __construct(private Plan $plan) {}

    /** Null where nothing of it is wired yet. */
    public static function for(Plan $plan, Proposal $proposal, Basis $basis, PlanJudge $judge): ?DrawnWay
    {
        return (new self($plan))->compared($proposal, $basis, $judge);
    }

    private function compared(Proposal $proposal, Basis $basis, PlanJudge $judge): ?DrawnWay
    {
        $runs = array_values(
            array_filter(
                array_merge(...array_map(static fn(LayoutTrial $t): array => $t->layout->runs(), $proposal->parts)),
                fn(string $r): bool => $this->wired($this->plan->run($r)),
            ),
        );
        if ($runs === []) {
            return null;
        }
        $parts = array_values(
            array_filter(
                $proposal->parts,
                static fn(LayoutTrial $t): bool => array_intersect($t->layout->runs(), $runs) !== [],
            ),
        );
        $made = $proposal->built($parts);
        $of = array_merge(...array_map(static fn(LayoutTrial $t): array => $t->layout->runs(), $parts));
        $then = Costing::moving($made, $basis, Proposal::wired($made, $this->plan, ...$of));
        $now = Costing::moving($this->plan, $basis, $runs);
        $alone = PlanExcerpt::for($this->plan, $runs);
        $judged = $judge->judge($alone, array_values($alone->runs), true);

        // Pixels that still lack a board cost less, and do not light.
        $bare = array_filter(
            $runs,
            fn(string $r): bool => $this->plan->run($r)->controller === null && $made->run($r)->controller !== null,
        );
        $repair = !$judged->holds() ? self::repair($alone, $now->cost(), $basis, $judge) : null;

        return new DrawnWay(
            cost: MovingFigures::cost($this->plan, $now),
            dearer: Figure::print(($now->cost() - $then->cost()) / UnitCosts::COIN, 2),
            lines: self::lines($now, $then),
            keep: $judged->holds() && $bare === [] && $now->cost() <= $then->cost(),
            broken: [
                ...$judged->words(),
                ...array_map(fn(string $r): string => "{$this->plan->run($r)->name()}: no pixel board", $bare),
            ],
            evenness: sprintf('%.2f', $judged->evenness),
            repair: $repair,
        );
    }

    private function wired(Run $run): bool
    {
        return $run->supply !== null &&
            $this->plan->ways()->origin($run) !== null &&
            array_filter(
                $this->plan->ways()->feedsOf($run),
                fn($f): bool => $this->plan->ways()->cableTo($f->id) !== null,
            ) !== [];
    }

    /** @return list<ChangedLine> */
    private static function lines(Moving $now, Moving $then): array
    {
        $lines = [];
        [$before, $after] = [$now->lines(), $then->lines()];
        foreach ($before + $after as $id => $line) {
            [$a, $b] = [$before[$id] ?? null, $after[$id] ?? null];
            if (($a->cost ?? 0) !== ($b->cost ?? 0)) {
                $lines[] = new ChangedLine(
                    what: $line->what,
                    then: $b?->said() ?? '–',
                    now: $a?->said() ?? '–',
                    difference: sprintf('%+.2f', (($b->cost ?? 0) - ($a->cost ?? 0)) / UnitCosts::COIN),
                );
            }
        }

        return $lines;
    }

    private static function repair(Plan $plan, int $cost, Basis $basis, PlanJudge $judge): ?Repair
    {
        $shelf = $basis->shelf;
        $priced = [];
        foreach (self::changes($plan, $shelf) as $fix) {
            try {
                $made = Catalogue::make($fix->change, $shelf)->apply($plan);
                $priced[] = [Costing::moving($made, $basis, array_keys($made->runs))->cost(), $fix, $made];
            } catch (Refusal) {
                continue;
            }
        }
        usort($priced, static fn(array $a, array $b): int => $a[0] <=> $b[0]);
        foreach ($priced as [$price, $fix, $made]) {
            if ($judge->judge($made, array_values($made->runs))->holds()) {
                return new Repair($fix->label, MovingFigures::for($plan, $price - $cost), $fix->change);
            }
        }

        return null;
    }

    /** @return iterable<Fix> candidates: fixes of the rules, other sizes for each cable, other patterns for each run */
    private static function changes(Plan $plan, ShelfSource $shelf): iterable
    {
        foreach (Registry::check(JudgedJob::plan($plan, [], $shelf), Registry::circuit()) as $finding) {
            yield from $finding->fixes;
        }
        foreach ($plan->runs as $run) {
            $marks = $plan->of($run)->cutMarks();
            if ($marks === null) {
                continue;
            }
            foreach (self::feeds($plan, $run, $marks) as $pattern => $pads) {
                if ($pattern !== Feeding::HALVES) {
                    yield new Fix(
                        $run->name() . ' fed at ' . Feeding::words($plan, $run, $pattern, $pads),
                        SetFeeds::payload(
                            run: $run->id,
                            shares: array_map(
                                static fn(int $p): float => $p === $marks->lastPad()
                                    ? 1.0
                                    : $marks->position($p) / $marks->length(),
                                $pads,
                            ),
                        ),
                    );
                }
            }
        }
        foreach ($plan->cables as $laid) {
            $now = $plan->cable($laid->kit);
            foreach ($shelf->ofKind('cable') as $snapshot) {
                $cable = $snapshot->entry;
                if (
                    $now !== null &&
                    $cable instanceof Cable &&
                    $cable->cores >= $now->cores &&
                    $cable->conductor->system === $now->conductor->system &&
                    $cable->conductor->ohmsPerMetre < $now->conductor->ohmsPerMetre
                ) {
                    yield new Fix(
                        strtoupper($laid->id) . ' in ' . $cable->conductor->label(),
                        SetCable::payload(cable: $laid->id, kit: $cable->id()),
                    );
                }
            }
        }
    }

    /** @return array<string, list<int>> pads by pattern, and by the places along a run that are worth it from where its controller is */
    private static function feeds(Plan $plan, Run $run, CutMarks $marks): array
    {
        $feeding = new Feeding($plan, $run);
        $patterns = $feeding->for();
        $places = new FeedPlaces(new Routes($plan, $run->place));

        return $patterns + $places->worth($run, $marks, Routes::NOW . $run->id, $patterns, $feeding->spots($patterns));
    }
}
