<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\Plan;
use EmberDusk\Rates\Work;

/** The steps of fixtures: their supply and cables, hanging and connecting them, the joints at their cables. */
final readonly class FixtureSteps
{
    /** @param  array<string, int>  $at  joints by cable */
    public function __construct(
        private Plan $plan,
        private array $at,
        private StepList $list,
        private InstallSteps $install,
    ) {}

    /** @param  list<string>  $before  Returns the last step. */
    public function steps(Fitting $fitting, array $before): string
    {
        $ways = $this->plan->ways()->wayTo($fitting->id);
        $roots = array_map(fn($c): ?string => $this->plan->ways()->root($c->from), array_values($ways));
        $after = $this->install->steps(of: $fitting, devices: $roots, ways: $ways, after: $before);
        $module = $this->plan->modules[$fitting->module ?? '']->kit ?? null;
        $hung = $this->list->add(
            kind: Work::Fixtures,
            of: $fitting->id,
            place: $this->plan->places[$fitting->place]->name ?? '',
            title: "{$this->list->name($fitting)}: mount {$fitting->count} and connect",
            why: 'Mount fixtures before you set their dimmer.',
            units: $fitting->count + ((int) ($module !== null)),
            people: 2,
            tools: ['screwdriver', 'ladder'],
            caution: 'Mains terminals are for a licensed person. Set the ladder on firm ground, with a second person to hold it.',
            after: $after,
            wait: 0,
            needs: array_values(array_filter([$fitting->kit, $module])),
        );
        $joints = RunJoints::for($this->plan, 0, $this->install->cables($fitting->id), $this->at);

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
}
