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
use EmberDusk\Rates\Work;
use EmberDusk\Survey\WallNotes;

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

    /** @var array<string, bool> whether everything in a place is on batteries */
    private array $battery = [];

    /** @var array<string, bool> whether a keyed feed of a vehicle feeds a place */
    private array $keyed = [];

    /** @var array<string, list<string>> steps before any work in a place */
    private array $before = [];

    private function __construct(private readonly Plan $plan, PartsList $parts, Productivity $productivity)
    {
        $this->list = new StepList($plan, $parts, $productivity);
        $install = new InstallSteps($plan, $this->list);
        $at = (new Joints($plan))->atCables();
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
        $last = [];
        foreach ($plan->places as $id => $place) {
            $runs = array_values(
                array_filter(
                    $plan->runs,
                    static fn(Run $r): bool => $r->place === $id &&
                        $plan->of($r)->cutMarks() !== null &&
                        $plan->ways()->feedsOf($r) !== [],
                ),
            );
            $fixtures = array_values(array_filter($plan->fixtures, static fn(Fitting $f): bool => $f->place === $id));
            $items = array_filter($plan->items, static fn(Item $i): bool => $i->place === $id);
            if ($runs !== [] || $fixtures !== [] || $items !== []) {
                $last[$id] = $steps->place($id, $place->name, $runs, $fixtures);
            }
        }
        foreach ($last as $id => $after) {
            $steps->closed((string) $id, $plan->places[$id]->name, $after);
        }

        return $steps->list->steps();
    }

    /**
     * @param  list<Run>  $runs
     * @param  list<Fitting>  $fixtures
     * @return list<string> its last steps before it is closed
     */
    private function place(string $id, string $name, array $runs, array $fixtures): array
    {
        $site = WallNotes::read($this->plan->places[$id]->notes)->site;
        $power = $this->plan->power();
        $sources = [...array_map($power->sourceOf(...), array_map(static fn(Fitting $f): string => $f->id, $fixtures))];
        foreach ($runs as $run) {
            // A run may have several supplies: one of them at mains is enough.
            $units = array_filter(
                $this->plan->ways()->unitsOf($run),
                fn(string $u): bool => isset($this->plan->supplies[$u]),
            );
            array_push($sources, ...array_map($power->sourceOf(...), array_values($units)));
        }
        $this->battery[$id] = $runs !== [] && !in_array(Source::Mains, $sources, true);
        $this->keyed[$id] = in_array(Source::Vehicle, $sources, true);
        $before = $this->isolated(
            $id,
            $name,
            $runs !== [] || $fixtures !== [] || $site->legs !== [] || $site->present !== [],
        );
        $this->places->ask($id, $name);
        $isolated = $before;
        $before = $this->places->cleared($id, $name, $before, $this->list->partsOf([...$runs, ...$fixtures]));
        if ($site->legs !== []) {
            $before[] = $this->list->add(
                kind: Work::Trace,
                of: $id,
                place: $name,
                title: 'Disconnect and trace every leg, label both ends',
                why: 'Only the tone shows where cables run in the wall.',
                units: count($site->legs),
                people: 2,
                tools: ['continuity tester', 'labels'],
                caution: 'Disconnect every leg at both ends before you connect the tester.',
                after: $isolated,
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
        $this->before[$id] = $before;

        return [...$last, ...$this->joins->steps($id, $name, $runs, $fixtures)];
    }

    /**
     * What is mounted after joining, and the end of a place: panels work lights of other places too.
     *
     * @param  list<string>  $last
     */
    private function closed(string $id, string $name, array $last): void
    {
        $this->list->add(
            kind: Work::Tidy,
            of: $id,
            place: $name,
            title: 'Tidy, tie leads, close boxes',
            why: 'Last, so that nothing has to be opened again.',
            units: 1.0,
            people: 1,
            tools: ['ties'],
            caution: $this->battery[$id]
                ? 'Cover the posts; keep loose metal away from them.'
                : 'Keep extra-low voltage apart from mains in every box.',
            after: [...$last, ...$this->items->steps($id, $name, $this->before[$id], $this->joins)],
        );
    }

    /**
     * The step that makes a place safe to work in.
     *
     * @param  bool  $wired  whether wiring is touched there: a remote and its cells need nothing isolated
     * @return list<string>
     */
    private function isolated(string $id, string $name, bool $wired): array
    {
        $panels = array_filter(
            $this->plan->items,
            fn(Item $i): bool => $i->place === $id &&
                $this->plan->kit[$i->kit]->beside()?->power === 'choice' &&
                $this->plan->power()->sourceOf($i->id) === Source::Mains,
        );
        if (!$wired && $panels === []) {
            return [];
        }
        if ($this->battery[$id]) {
            $isolate = $this->list->add(
                kind: Work::Isolate,
                of: $id,
                place: $name,
                title: $this->keyed[$id] ? 'Take the fuses out of the feeds' : 'Take the fuses out of the battery taps',
                why: 'Before you touch anything.',
                units: 1.0,
                people: 1,
                tools: ['meter'],
                caution: BatterySteps::CAUTION,
                after: [],
            );
        } else {
            $isolate = $this->list->add(
                kind: Work::Isolate,
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

        return [$isolate];
    }
}
