<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Kit;

use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\PlannerLimit;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\RunCheck;
use EmberDusk\Circuit\WiredRun;
use EmberDusk\Kit\Cable;
use EmberDusk\Plan\Changes\Wires\SetCable;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** A run has all its kit, every cable a core for + and one for each return, the controller a channel for each. */
final readonly class Complete extends RunCheck
{
    public function rules(): array
    {
        return [
            new Rule('lacking', 'run', 'a run has strip, supply, controller and cables', Rule::OWN),
            new Rule(
                'cores',
                'cable',
                'a cable has a core for + and one for each return',
                Rule::PRACTICE,
                binds: PlannerLimit::Cores,
            ),
            new Rule('channels', 'controller', 'a controller has a channel for each of the strip', Rule::LEAFLET),
        ];
    }

    protected function run(JudgedRun $case): array
    {
        $findings = [];
        $lacking = WiredRun::lacking($case->plan, $case->run);
        // A ready-made set is all of it.
        if ($lacking !== [] && $case->plan->of($case->run)->set() === null) {
            $findings[] = $this->rule('lacking')->open(
                place: new FindingPlace(JobStage::Kit, $case->run->id),
                title: $case->run->name() . ' lacks ' . implode(', ', $lacking),
                detail: 'Choose them from the shelf; until then nothing can be calculated.',
            );
        }
        foreach (WiredRun::short($case->plan, $case->run) as $id => [$has, $needs]) {
            $findings[] = isset($case->plan->cables[$id])
                ? $this->cores($case, $id, $has, $needs)
                : $this->channels($case, $id, $has, $needs);
        }

        return $findings;
    }

    private function cores(JudgedRun $case, string $id, int $has, int $needs): Finding
    {
        $now = $case->plan->cable($case->plan->cables[$id]->kit);
        $more = $case->smallest(
            Cable::class,
            static fn(Cable $c): bool => $c->cores >= $needs && $c->conductor->label() === $now?->conductor->label(),
            static fn(Cable $c): float => $c->cores,
        );

        $fixes = [];
        if ($more !== null) {
            $fixes = [
                new Fix(strtoupper($id) . ' in ' . $more->name(), SetCable::payload(cable: $id, kit: $more->id())),
            ];
        }

        return $this->rule('cores')->stop(
            place: new FindingPlace(JobStage::Wire, $id),
            title: sprintf('%s has %d cores, %d are needed', strtoupper($id), $has, $needs),
            detail: 'One core for + and one for each channel’s return.',
            number: $has,
            limit: $needs,
            fixes: $fixes,
        );
    }

    private function channels(JudgedRun $case, string $id, int $has, int $needs): Finding
    {
        return $this->rule('channels')->stop(
            place: new FindingPlace(JobStage::Kit, $case->run->id),
            title: strtoupper($id) . ' has too few channels',
            detail: "It has {$has}, the strip needs {$needs}.",
            number: $has,
            limit: $needs,
            source: 'the controller’s instructions, on the shelf',
            fixes: $case->takeFittingController(),
        );
    }
}
