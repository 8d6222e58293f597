<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\Item;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Source;
use EmberDusk\Rates\Joints;
use EmberDusk\Rates\Productivity;
use EmberDusk\Survey\TapeNotes;

/**
 * The steps of a job in the order of the trade, from plan, kit and mounting: dry run, isolate, trace, supply, cables, loose
 * test, profile or sticking, joints, second test, sealing, curing, diffuser, joining, tidy. All times: common practice, no source.
 */
final class Steps
{
    private readonly StepList $list;

    private readonly RunSteps $runs;

    private readonly FixtureSteps $fixtures;

    private readonly JoinSteps $joins;

    private readonly ItemSteps $items;

    private readonly PlaceSteps $places;

    private function __construct(private readonly Plan $plan, PartsList $parts, Productivity $productivity)
    {
        $this->list = new StepList($plan, $parts, $productivity);
        $install = new InstallSteps($plan, $this->list);
        $at = Joints::atCables($plan);
        $this->runs = new RunSteps(
            plan: $plan,
            joined: $parts->joined,
            at: $at,
            list: $this->list,
            install: $install,
            batteries: new BatterySteps($plan, $this->list),
        );
        $this->fixtures = new FixtureSteps(plan: $plan, at: $at, list: $this->list, install: $install);
        $this->joins = new JoinSteps($plan, $this->list);
        $this->items = new ItemSteps($plan, $this->list);
        $this->places = new PlaceSteps($plan, $this->list);
    }

    /** @return list<Step> */
    public static function for(Plan $plan, PartsList $parts, Productivity $productivity): array
    {
        $steps = new self($plan, $parts, $productivity);
        foreach ($plan->places as $id => $place) {
            $runs = array_values(
                array_filter(
                    $plan->runs,
                    static fn(Run $r): bool => $r->place === $id &&
                        $plan->cutMarks($r) !== null &&
                        $plan->ways()->feedsOf($r) !== [],
                ),
            );
            $fixtures = array_values(array_filter($plan->fixtures, static fn(Fitting $f): bool => $f->place === $id));
            $items = array_filter($plan->items, static fn(Item $i): bool => $i->place === $id);
            if ($runs !== [] || $fixtures !== [] || $items !== []) {
                $steps->place($id, $place->name, $runs, $fixtures);
            }
        }

        return $steps->list->steps();
    }

    /**
     * @param  list<Run>  $runs
     * @param  list<Fitting>  $fixtures
     */
    private function place(string $id, string $name, array $runs, array $fixtures): void
    {
        $legs = TapeNotes::read($this->plan->places[$id]->notes)->site->legs;
        $battery =
            $runs !== [] &&
            array_filter($runs, fn(Run $r): bool => !$this->plan->power()->onBattery($r)) === [] &&
            array_filter(
                $fixtures,
                fn(Fitting $f): bool => $this->plan->power()->sourceOf($f->id) === Source::Mains,
            ) === [];
        if ($battery) {
            $isolate = $this->list->add(
                kind: 'isolate',
                of: $id,
                place: $name,
                title: 'Take the fuses out of the battery taps',
                why: 'Before you touch anything.',
                units: 1.0,
                people: 1,
                tools: ['meter'],
                caution: BatterySteps::CAUTION,
                after: [],
            );
        } else {
            $isolate = $this->list->add(
                kind: 'isolate',
                of: $id,
                place: $name,
                title: 'Isolate and prove dead',
                why: 'Before you touch anything.',
                units: 1.0,
                people: 1,
                tools: ['voltage tester'],
                caution: 'Work on mains is for a licensed person. Test the tester, the circuit, and the tester again: ' .
                    'a switch in the off position proves nothing.',
                after: [],
            );
        }
        $this->places->ask($id, $name);
        $before = $this->places->cleared($id, $name, [$isolate]);
        if ($legs !== []) {
            $before[] = $this->list->add(
                kind: 'trace',
                of: $id,
                place: $name,
                title: 'Disconnect and trace every leg, label both ends',
                why: 'Only the tone shows where cables run in the wall.',
                units: count($legs),
                people: 2,
                tools: ['continuity tester', 'labels'],
                caution: 'Disconnect every leg at both ends before you connect the tester.',
                after: [$isolate],
            );
        }
        $last = [];
        foreach ($runs as $run) {
            $last[] = $this->runs->steps($run, $before);
        }
        foreach ($fixtures as $fitting) {
            $last[] = $this->fixtures->steps($fitting, $before);
        }
        array_push($last, ...$this->items->steps($id, $name, $before));
        $last = $this->places->back($id, $name, $last);
        $joined = $this->joins->steps($id, $name, $runs, $fixtures);
        $caution = 'Keep extra-low voltage apart from mains in every box.';
        if ($battery) {
            $caution = 'Cover the posts; keep loose metal away from them.';
        }
        $this->list->add(
            kind: 'tidy',
            of: $id,
            place: $name,
            title: 'Tidy, tie leads, close boxes',
            why: 'Last, so that nothing has to be opened again.',
            units: 1.0,
            people: 1,
            tools: ['ties'],
            caution: $caution,
            after: [...$last, ...$joined],
        );
    }
}
