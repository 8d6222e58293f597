<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Protection;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\PlannerLimit;
use EmberDusk\Checks\Rule;
use EmberDusk\Kit\Connector;
use EmberDusk\Plan\Changes\Wires\SetCable;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** A joint is rated for its current, also with another feed open: clip-on strip connectors 3 A (common practice, no source; on the shelf). */
final readonly class JointCapacity extends Check
{
    public function rules(): array
    {
        return [
            new Rule(
                'joint-amps',
                'joint',
                'a connector carries what flows through it: clip-on ones 3 A',
                Rule::PRACTICE,
                binds: PlannerLimit::Cable,
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        foreach ($job->cables() as $id => $result) {
            $joint = $job->plan->connector($job->plan->cables[$id]->joint);
            if ($joint === null || round($result->openAmps, 4) <= $joint->amps) {
                continue;
            }
            $name = strtoupper($id);
            $better = $job->smallest(
                Connector::class,
                static fn(Connector $c): bool => $c->amps >= $result->openAmps,
                static fn(Connector $c): float => $c->minutes ?? 60.0,
            );
            $findings[] = $this->rule('joint-amps')->stop(
                place: new FindingPlace(JobStage::Wire, $id),
                title: sprintf('%s carries %.1f A, its %s %g A', $name, $result->openAmps, $joint->joint, $joint->amps),
                detail: 'The contact gets hot.',
                number: $result->openAmps,
                limit: $joint->amps,
                source: 'common practice, no source; on the shelf',
                fixes: [
                    ...$better === null
                        ? []
                        : [
                            new Fix(
                                "{$name} with {$better->name()}",
                                SetCable::payload(cable: $id, joint: $better->id()),
                            ),
                        ],
                    new Fix("Solder {$name}", SetCable::payload(cable: $id, joint: '')),
                ],
            );
        }

        return $findings;
    }
}
