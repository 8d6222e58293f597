<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Solver;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\PlannerLimit;
use EmberDusk\Checks\Rule;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\NoSolution;

/** Every island of the circuit has a solution; an overloaded supply that gives out is left to its own finding. */
final readonly class SolutionExists extends Check
{
    public function rules(): array
    {
        return [
            new Rule('unsolved', 'run', 'the circuit of a run has a solution', 'the solver', binds: PlannerLimit::Drop),
            new Rule(
                'collapse',
                'fixture',
                'the volts of fixtures with converters do not collapse',
                'the solver',
                binds: PlannerLimit::Drop,
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $islands = [];
        foreach ($job->state->results as $id => $refusal) {
            if ($refusal instanceof NoSolution) {
                $islands[spl_object_id($refusal)][] = [(string) $id, $refusal];
            }
        }

        // A supply that gives out is named by its own finding.
        $islands = array_filter(
            $islands,
            static fn(array $of): bool => self::overloaded($job, array_column($of, 0)) === null,
        );

        return array_values(array_map(fn(array $of): Finding => $this->finding($job, $of), $islands));
    }

    /** @param  non-empty-list<array{string, NoSolution}>  $of  loads of the island */
    private function finding(JudgedJob $job, array $of): Finding
    {
        $fixtures = array_values(
            array_filter(array_column($of, 0), static fn(string $id): bool => isset($job->plan->fixtures[$id])),
        );
        $id = $fixtures[0] ?? $of[0][0];
        if ($fixtures === []) {
            $title = $job->plan->run($id)->name() . ' has no solution';
        } else {
            $title = implode(', ', array_map(strtoupper(...), $fixtures)) . ': voltage collapse';
        }

        return $this->rule($fixtures === [] ? 'unsolved' : 'collapse')->stop(
            place: new FindingPlace(JobStage::Wire, $id),
            title: $title,
            detail: $of[0][1]->getMessage(),
            source: '',
        );
    }

    /** @param  list<string>  $ids  runs and fittings */
    private static function overloaded(JudgedJob $job, array $ids): ?string
    {
        foreach ($ids as $id) {
            if (isset($job->plan->runs[$id])) {
                $supplies = $job->plan->ways()->suppliesOf($job->plan->run($id));
            } else {
                $supplies = [(string) $job->plan->ways()->root($job->plan->ways()->cableTo($id)->from ?? '')];
            }
            foreach ($supplies as $supply) {
                if ($job->plan->supply($supply)?->battery() === false && $job->supply($supply)->share() > 1) {
                    return $supply;
                }
            }
        }

        return null;
    }
}
