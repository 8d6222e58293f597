<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Zigbee;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\Belief\LightSuspects;
use EmberDusk\Joining\Belief\Suspect;
use EmberDusk\Joining\ControlledLight;
use EmberDusk\Joining\Families\Remote\RemoteFamily;
use EmberDusk\Joining\Families\TouchLink\TouchLinkFamily;
use EmberDusk\Joining\Families\Zigbee\Simulation\SimulatedController;
use EmberDusk\Joining\Family;
use EmberDusk\Joining\FamilyFact;
use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\Look;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\OrderRule;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Simulation\SimulatedDevice;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\StepBuilder;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Joining\Unit;

/** Zigbee controllers: a hub finds them while they listen after a reset or, unjoined, after power-up; a power-cycle erases nothing. */
final readonly class ZigbeeFamily implements Family
{
    /** Seconds from reading a step to doing it that a window must leave. Common practice, no source. */
    private const SPARE = 5.0;

    public function key(): string
    {
        return 'zigbee';
    }

    public function takes(string $role, string $way): bool
    {
        return $role === Unit::LIGHT && $way === 'zigbee';
    }

    public function facts(Unit $unit): array
    {
        return [FamilyFact::CanMiss, FamilyFact::HearsLinks];
    }

    public function missing(Unit $unit, Roster $roster): array
    {
        $remotes = array_filter(
            $roster->wants,
            static fn(ControlledLight $w): bool => $w->light === $unit->id &&
                $roster->unit($w->control)->family === RemoteFamily::KEY,
        );

        return [
            ...StepBuilder::missing($unit, [
                'reset' => 'its reset gesture',
                'resetDone' => 'its signal once it is reset',
                'joined' => 'its signal once it has joined',
                'listens' => 'how long it listens',
                'takesMost' => 'how long joining takes',
            ]),
            ...$remotes === [] ? [] : (new TouchLinkFamily())->missing($unit, $roster),
        ];
    }

    public function tasks(Roster $roster): array
    {
        $tasks = $joined = [];
        foreach ($roster->inRole(Unit::HUB) as $hub) {
            foreach ($roster->wantsOf($hub->id) as $want) {
                if ($roster->unit($want->light)->family === $this->key()) {
                    $tasks[] = new Task($this->key(), Task::JOIN, $want->light, $hub->id, search: $hub->id);
                    $joined[$want->light] = true;
                }
            }
        }
        // Without a hub it only leaves its old network, before a remote links to it.
        foreach ($roster->wants as $want) {
            if ($roster->unit($want->light)->family === $this->key() && !isset($joined[$want->light])) {
                $tasks[] = new Task($this->key(), Task::SETUP, $want->light);
                $joined[$want->light] = true;
            }
        }

        return $tasks;
    }

    public function steps(Task $task, Roster $roster, array $dropped = []): array
    {
        $unit = $roster->unit($task->device);
        $school = $roster->school;
        $resets = !in_array(OrderRule::ResetFirst, $dropped, true) && ($unit->used || !$school->trustsNew);
        if ($task->other === '') {
            return $resets ? [self::alone($task, $unit)] : [];
        }
        $hub = $roster->unit($task->other);
        $label = $unit->label();
        $takes = $unit->leaflet->seconds('takesMost');
        $listens = $unit->leaflet->seconds('listens');
        $first = self::searchesFirst($unit, $hub, $school);
        $steps = [];
        if ($resets) {
            $search = null;
            $searchFor = 0.0;
            if ($first) {
                $search = $hub->id;
                $searchFor = $takes + ($unit->leaflet->gesture('reset')?->takes() ?? 0);
            }
            $quiet = !$first ? $hub->id : null;
            $steps[] = StepBuilder::gesture(
                task: $task,
                kind: 'reset',
                unit: $unit,
                name: 'reset',
                signal: 'resetDone',
                why: ($first ? 'The hub is already searching. ' : '') .
                    ($first && $school->timing === TimingMethod::RESET_FIRST ? self::unfit($unit, $hub) : '') .
                    sprintf('%s leaves any old network and listens for %g s.', $label, $listens),
                search: $search,
                searchFor: $searchFor,
                quiet: $quiet,
                ifNot: "No response: the gesture did not count. Repeat it evenly; {$label} must have power.",
                caution: $unit->source->isolate(),
            );
        }
        $early = !$first && $school->timing === TimingMethod::EARLY;
        if ($early) {
            $steps[] = $this->stand($task, $hub);
        }
        if (!$resets || $early) {
            $steps[] = $this->rise($task, $unit, $hub, $first);
        }
        if (!$first) {
            $steps[] = $this->search($task, $unit, $hub, $early ? 0.0 : self::taps($hub));
        }
        $from = $resets && !$early ? 'reset' : 'rise';
        $steps[] = StepBuilder::look(
            task: $task,
            kind: 'joined',
            watch: $unit,
            signal: 'joined',
            waits: $listens,
            why: "That signal means {$label} has joined. It can come as long as it listens.",
            retry: $from,
            opened: $from,
            ifNot: 'No response by then: repeat it while the hub searches. A join can fail once without a fault.',
        );

        return [...$steps, ...$this->named($task, $unit, $hub)];
    }

    /** Power away and back: unjoined, it listens again. */
    private function rise(Task $task, Unit $unit, Unit $hub, bool $search): JoinStep
    {
        $searchFor = $search ? $unit->leaflet->seconds('takesMost') + 2.0 : 0.0;
        $quiet = !$search ? $hub->id : null;

        return new JoinStep(
            task: $task->id(),
            kind: 'rise',
            look: Look::Hand,
            device: $unit->id,
            title: "Switch {$unit->label()} off and on",
            why: 'A power cycle does not erase anything: if not joined, it listens again now.',
            at: $unit->id,
            where: 'at ' . $unit->called(),
            acts: [new Act(Act::OFF, $unit->id), new Act(Act::ON, $unit->id)],
            search: $search ? $hub->id : null,
            searchFor: $searchFor,
            quiet: $quiet,
        );
    }

    private static function taps(Unit $hub): float
    {
        return $hub->leaflet->figure('taps') ?? StepBuilder::TAPS;
    }

    /**
     * Whether the search must run before the window opens: as the crew works, and where the way through the app is longer than the window leaves
     * time for.
     */
    private static function searchesFirst(Unit $unit, Unit $hub, TimingMethod $school): bool
    {
        $fits = self::needs($unit, $hub) <= $unit->leaflet->seconds('listens');

        return $school->timing === TimingMethod::SEARCH_FIRST ||
            ($school->timing === TimingMethod::RESET_FIRST && !$fits);
    }

    /** Seconds that a search after the reset needs of the window: the way through the app, joining, and a hesitation. */
    private static function needs(Unit $unit, Unit $hub): float
    {
        return self::taps($hub) + $unit->leaflet->seconds('takesMost') + self::SPARE;
    }

    /** Why the chosen method is not used here. */
    private static function unfit(Unit $unit, Unit $hub): string
    {
        return sprintf(
            '“Reset, then search” is not used here: app and joining need %g s, it listens %g s. ',
            self::needs($unit, $hub),
            $unit->leaflet->seconds('listens'),
        );
    }

    /** The app at its last tap, so that the search starts immediately when the power is back. */
    private function stand(Task $task, Unit $hub): JoinStep
    {
        return new JoinStep(
            task: $task->id(),
            kind: 'stand',
            look: Look::Hand,
            device: $hub->id,
            title: 'Go through ' . StepBuilder::app($hub) . ' to its last tap before Search, and stay there',
            why: 'The windows open at power-up: the search must follow at once.',
            where: 'phone, ' . StepBuilder::app($hub),
            before: self::taps($hub),
        );
    }

    /** The search started while the window is open already. */
    private function search(Task $task, Unit $unit, Unit $hub, float $before): JoinStep
    {
        return new JoinStep(
            task: $task->id(),
            kind: 'search',
            look: Look::Hand,
            device: $hub->id,
            title: 'Press Search in ' . StepBuilder::app($hub),
            why: sprintf(
                '%s listens for %g s; the search must meet it.',
                $unit->label(),
                $unit->leaflet->seconds('listens'),
            ),
            where: 'phone, ' . StepBuilder::app($hub),
            acts: [new Act(Act::TAP, $hub->id, 'search')],
            before: $before,
        );
    }

    private static function alone(Task $task, Unit $unit): JoinStep
    {
        return StepBuilder::gesture(
            task: $task,
            kind: 'reset',
            unit: $unit,
            name: 'reset',
            signal: 'resetDone',
            why: "{$unit->label()} leaves any old network before a remote links to it.",
            ifNot: "No response: the gesture did not count. Repeat it evenly; {$unit->label()} must have power.",
            caution: $unit->source->isolate(),
        );
    }

    /**
     * Found, identified and named.
     *
     * @return list<JoinStep>
     */
    private function named(Task $task, Unit $unit, Unit $hub): array
    {
        $late = $hub->leaflet->figure('late') ?? 0.0;
        $steps = [
            new JoinStep(
                task: $task->id(),
                kind: 'listed',
                look: Look::List,
                device: $hub->id,
                title: 'Wait for a new entry in the app’s list',
                why: sprintf(
                    'The list lags behind by up to %g s. New lights are numbered.',
                    $hub->leaflet->seconds('lagMost'),
                ),
                where: 'phone, ' . StepBuilder::app($hub),
                watches: $unit->id,
                waits: $hub->leaflet->seconds('lagMost') + 1.0,
                retry: 'reset',
            ),
        ];
        $steps[] = new JoinStep(
            task: $task->id(),
            kind: 'identify',
            look: Look::Lights,
            device: $unit->id,
            title: "Switch “ENTRY” in the app: {$unit->asks()}",
            why: 'New lights are numbered: do not guess which is which.' .
                ($late > 0.0 ? sprintf(' It can answer %g s late: wait before you switch another.', $late) : ''),
            at: $unit->id,
            where: 'phone, ' . StepBuilder::app($hub),
            acts: [new Act(Act::TAP, $hub->id, 'toggle ENTRY')],
            watches: $unit->id,
            expects: $unit->changes(),
            waits: $late,
            ifNot: 'Another light: that entry is of another one; try the next.',
            on: [$unit->id],
        );
        $steps[] = new JoinStep(
            task: $task->id(),
            kind: 'name',
            look: Look::Name,
            device: $unit->id,
            title: 'Name “ENTRY”',
            why: 'This name is for voice control: short, plain and unlike every other.',
            where: 'phone, ' . StepBuilder::app($hub),
            acts: [new Act(Act::TAP, $hub->id, 'name ENTRY=NAME')],
            watches: $unit->id,
        );
        if (($unit->leaflet->figure('entries') ?? 1.0) > 1.0) {
            $steps[] = new JoinStep(
                task: $task->id(),
                kind: 'spare',
                look: Look::Lights,
                device: $unit->id,
                title: 'Switch “ENTRY”: is it the second entry of ' . mb_strtolower($unit->name) . '? Then hide it',
                why: "{$unit->label()} has two entries for one unit. Hide the spare one, or voice commands would find both.",
                at: $unit->id,
                where: 'phone, ' . StepBuilder::app($hub),
                acts: [new Act(Act::TAP, $hub->id, 'toggle ENTRY')],
                watches: $unit->id,
                expects: $unit->changes(),
                on: [$unit->id],
            );
        }

        return $steps;
    }

    public function suspects(Task $task, Roster $roster): array
    {
        $unit = $roster->unit($task->device);
        $suspects = [...(new LightSuspects($unit))->for(), ...(new LightSuspects($unit))->setting()];
        if ($roster->school->trustsNew && !$unit->used) {
            $suspects[] = new Suspect(
                code: 'old-hub',
                device: $unit->id,
                shows: ['joined' => Observation::Nothing, 'listed' => Observation::Nothing],
                says: "{$unit->label()} still belongs to another network",
                check: "Reset {$unit->label()} by its gesture, as if it had been used. If it flashes as reset, that was the cause.",
                seconds: 20.0,
            );
        }

        return $suspects;
    }

    public function simulated(Unit $unit, SimulatedSite $site): SimulatedDevice
    {
        return new SimulatedController($unit, $site);
    }
}
