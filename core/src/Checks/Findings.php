<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

use EmberDusk\Checks\Fixture\Lamps;
use EmberDusk\Checks\Fixture\Modules;
use EmberDusk\Checks\Kit\TrialBoards;
use EmberDusk\Checks\Light\Meets;
use EmberDusk\Checks\Parts\PartFindings;
use EmberDusk\Checks\Scene\SceneFindings;
use EmberDusk\Checks\Schedule\ScheduleFindings;
use EmberDusk\Checks\Site\SiteFindings;
use EmberDusk\Checks\Site\SurveyFindings;
use EmberDusk\Job\JobState;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Place;
use EmberDusk\Values\Refusal;
use EmberDusk\Values\Severity;

/** Everything that is wrong or undecided in a job, worst first. */
final readonly class Findings
{
    /** @return list<Finding> */
    public static function of(JobState $state): array
    {
        $findings = [...SurveyFindings::of($state), ...SiteFindings::of($state)];
        if ($state->plan->runs !== [] && $state->plan->hubs === []) {
            $findings[] = new Finding(
                code: 'no-hub',
                severity: Severity::Open,
                title: 'No hub yet',
                detail: 'Phones reach a Zigbee controller through a hub.',
                place: new Place('kit', 'hub'),
            );
        }
        foreach ($state->plan->runs as $id => $run) {
            array_push(
                $findings,
                ...Registry::check(new Judged($state->plan, $run, $state->result($id), $state->shelf)),
            );
            $refusal = $state->results[$id] ?? null;
            if ($refusal instanceof Refusal && \EmberDusk\Circuit\WiredRun::of($state->plan, $run) !== null) {
                $findings[] = new Finding(
                    code: 'unsolved',
                    severity: Severity::Stop,
                    title: $run->name() . ' has no solution',
                    detail: $refusal->getMessage(),
                    place: new Place('wire', $id),
                );
            }
        }
        foreach ($state->plan->fixtures as $id => $fitting) {
            array_push($findings, ...Lamps::check($state->plan, $fitting, $state->fitting($id), $state->shelf));
            $refusal = $state->results[$id] ?? null;
            if ($refusal instanceof Refusal) {
                $findings[] = new Finding(
                    code: 'collapse',
                    severity: Severity::Stop,
                    title: strtoupper($id) . ': voltage collapse',
                    detail: $refusal->getMessage(),
                    place: new Place('wire', $id),
                );
            }
        }
        array_push(
            $findings,
            ...Modules::check($state->plan, $state->shelf),
            ...SceneFindings::of($state),
            ...TrialBoards::of($state),
            ...Meets::check(
                $state->plan,
                array_filter(
                    array_map(
                        $state->result(...),
                        array_combine(array_keys($state->plan->runs), array_keys($state->plan->runs)),
                    ),
                ),
            ),
        );
        foreach (array_keys($state->plan->controllers) as $id) {
            if ($state->plan->controller($id)?->profile !== null && !in_array($id, $state->joined, true)) {
                $findings[] = new Finding(
                    code: 'not-joined',
                    severity: Severity::Open,
                    title: strtoupper($id) . ' is not joined yet',
                    detail: 'Nothing but its own key switches it so far.',
                    place: new Place('join', $id),
                );
            }
        }

        array_push($findings, ...PartFindings::of($state), ...ScheduleFindings::of($state));

        return Finding::worstFirst($findings);
    }
}
