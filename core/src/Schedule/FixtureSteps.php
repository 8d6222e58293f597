<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Kit\Dimmer;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\ControlLine;
use EmberDusk\Plan\Trigger;
use EmberDusk\Rates\CableJoints;
use EmberDusk\Rates\Work;

/** The steps of fixtures: their supply and cables, hanging and connecting them, the joints at their cables. */
final class FixtureSteps
{
    /** @var array<string, string> the step that fixes a module */
    private array $modules = [];

    /** Push-buttons that have their module. */
    private int $buttons = 0;

    /** @param  array<string, CableJoints>  $at  joints by cable */
    public function __construct(
        private readonly Plan $plan,
        private readonly array $at,
        private readonly StepList $list,
        private readonly InstallSteps $install,
    ) {}

    /** @param  list<string>  $before  Returns the last step. */
    public function steps(Fitting $fitting, array $before): string
    {
        $ways = $this->plan->ways()->wayTo($fitting->id);
        $roots = array_map(fn($c): ?string => $this->plan->ways()->root($c->from), array_values($ways));
        $after = $this->install->steps(of: $fitting, devices: $roots, ways: $ways, after: $before);
        $module = $this->plan->modules[$fitting->module ?? ''] ?? null;
        $hung = $this->list->add(
            kind: Work::Fixtures,
            of: $fitting->id,
            place: $this->plan->places[$fitting->place]->name ?? '',
            title: "{$this->list->name($fitting)}: mount {$fitting->count} and connect",
            why: 'Mount fixtures before you set their dimmer.',
            units: $fitting->count,
            people: 2,
            tools: ['screwdriver', 'ladder'],
            caution: 'Mains terminals are for a licensed person. Set the ladder on firm ground, with a second person to hold it.',
            after: $module === null ? $after : [...$after, $this->module($module, $fitting, $before)],
            wait: 0,
            needs: [$fitting->kit],
        );
        $joints = RunJoints::for($this->plan, new CableJoints(0, 0), $this->install->cables($fitting->id), $this->at);

        $made = $this->list->joints($fitting, $joints, $hung);
        if ($module === null) {
            return $made;
        }

        return $this->list->addFor(
            of: $fitting,
            kind: Work::Second,
            title: 'test their dimming',
            why: 'Before the module is joined: faults of lamps and wiring show without an app.',
            units: 1.0,
            people: 1,
            tools: ['meter'],
            caution: 'Covers closed before mains is switched on; mains terminals are for a licensed person.',
            after: [$made],
        );
    }

    /**
     * The step that fixes a dimming module, its switch set before; once for all its fixtures.
     *
     * @param  list<string>  $before
     */
    private function module(Device $module, Fitting $fitting, array $before): string
    {
        if (isset($this->modules[$module->id])) {
            return $this->modules[$module->id];
        }
        $dimmer = $this->plan->module($module->id);
        $method = ControlLine::method($this->plan, $module->id);
        $place = $this->plan->places[$fitting->place]->name ?? '';
        $name = strtoupper($module->id);
        if ($dimmer !== null && $dimmer->setBy !== '') {
            $before[] = $this->list->add(
                kind: Work::Settings,
                of: $module->id,
                place: $place,
                title: "{$name}: set its {$dimmer->setBy} to " . Dimmer::says($method),
                why: 'Before mains is on it. ' . ucfirst($dimmer->setting),
                units: 1.0,
                people: 1,
                tools: [],
                caution: 'Set it before power is switched on.',
                after: [],
                wait: 0,
                needs: [$module->kit],
            );
        }

        $fixed = $this->list->add(
            kind: Work::Fixtures,
            of: $module->id,
            place: $place,
            title: "{$name}: fix the dimming module",
            why: in_array($method, Dimmer::BY_LINE, true)
                ? 'Its control line starts there. Keep control cores apart from mains cores where their insulation is not made for mains voltage.'
                : 'The cores to its lamps start there.',
            units: 1,
            people: 1,
            tools: ['drill', 'screwdriver'],
            caution: 'Isolate and prove dead first. Mains terminals are for a licensed person.',
            after: $before,
            wait: 0,
            needs: [$module->kit],
        );

        return $this->modules[$module->id] = $this->buttons($module, $dimmer, $place, $fixed);
    }

    /** The last step after the push-buttons of the automation are wired to the inputs of a module, as far as it has some. */
    private function buttons(Device $module, ?Dimmer $dimmer, string $place, string $fixed): string
    {
        $inputs = (int) ($dimmer?->profile?->figure('inputs') ?? 0.0);
        $pushed = array_values(
            array_filter($this->plan->triggers, static fn(Trigger $t): bool => $t->by === Trigger::PUSH),
        );
        foreach (array_slice($pushed, $this->buttons, $inputs) as $n => $trigger) {
            $this->buttons++;
            $fixed = $this->list->add(
                kind: Work::Item,
                of: "{$module->id}-push-{$trigger->id}",
                place: $place,
                title: strtoupper($module->id) . ': wire ' . $trigger->words() . ', to input ' . ($n + 1),
                why: 'It works without a network. Two cores from the button to the input.',
                units: 1.0,
                people: 1,
                tools: ['cutter', 'screwdriver', 'labels'],
                caution: 'Isolate and prove dead first. Some inputs are live at mains voltage: read the instructions; mains is for a licensed person.',
                after: [$fixed],
            );
        }

        return $fixed;
    }
}
