<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Scene;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Controller\ControllerAmps;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Circuit\ControllerLoad;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\CableRating;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\Refusal;

/** Scenes: runs that are uneven in a scene but even at full, peaks above a supply's limit, and unsolved scenes. */
final readonly class SceneFindings extends Check
{
    public function rules(): array
    {
        return [
            new Rule('scene-unsolved', 'scene', 'every scene has a solution', 'the solver'),
            new Rule('scene-evenness', 'scene', 'a scene reaches the limit of evenness', Rule::PRACTICE),
            new Rule('scene-limit', 'scene', 'the current limit of a board leaves a scene as bright as set', Rule::OWN),
        ];
    }

    public function check(JudgedJob $job): array
    {
        return [...$this->for($job->state), ...$this->limited($job->plan)];
    }

    /** @return list<Finding> about pixel runs that the limit of their board dims below their level in a scene */
    private function limited(Plan $plan): array
    {
        $findings = [];
        foreach ($plan->scenes as $scene) {
            foreach ($plan->runs as $id => $run) {
                $asked = $scene->share($plan, $run);
                $full = $plan->of($run)->labelAmps() / $run->cap;
                if ($plan->of($run)->board() === null || $asked <= $run->cap + 1e-9) {
                    continue;
                }
                $findings[] = $this->rule('scene-limit')->watch(
                    place: new FindingPlace(JobStage::Wire, $id),
                    title: sprintf(
                        '%s at %.0f %% of its level in “%s”',
                        $run->name(),
                        (100 * $run->cap) / $asked,
                        $scene->name,
                    ),
                    detail: sprintf(
                        'Its pixels ask for %.1f A, the current limit of %s leaves them %.1f A. Lower its level in the scene, ' .
                            'or take a larger supply and a higher limit.',
                        $asked * $full,
                        strtoupper((string) $run->controller),
                        $run->cap * $full,
                    ),
                    number: $asked,
                    limit: $run->cap,
                );
            }
        }

        return $findings;
    }

    /** Extra load of a single channel compared with all together: at most its label. */
    private const MORE = 1.12;

    /**
     * Runs that no scene can make worse, so that scenes need not be solved for the open points: every channel is even at full, or the run is
     * reported as uneven at full, and no part is near its limit.
     *
     * @param  array<string, mixed>  $full  results by run
     * @return array<string, mixed> those of them
     */
    public static function settled(Plan $plan, array $full): array
    {
        $limit = $plan->limits->evenness;

        return array_filter(
            $full,
            static fn(mixed $r): bool => $r instanceof RunResult &&
                ($r->leastEven() >= $limit || $r->evenness() < $limit) &&
                !self::near($plan, $r),
        );
    }

    /** Whether a channel that is alone could be too much for what carries it. */
    private static function near(Plan $plan, RunResult $result): bool
    {
        foreach ($result->cables as $id => $cable) {
            $laid = $plan->cables[$id] ?? null;
            if ($laid !== null && self::MORE * $cable->openAmps > CableRating::amps($plan, $laid)) {
                return true;
            }
        }
        foreach ($result->controllers as $id => $flows) {
            if (ControllerAmps::over(ControllerLoad::for($plan, $id, $flows)) > 1 / self::MORE) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Finding> */
    public function for(JobState $state): array
    {
        $findings = [];
        foreach ($state->plan->scenes as $id => $scene) {
            foreach ($state->scenes[$id] ?? [] as $run => $result) {
                if ($result instanceof Refusal) {
                    $findings[] = $this->rule('scene-unsolved')->stop(
                        place: new FindingPlace(JobStage::Wire, $run),
                        title: "“{$scene->name}” has no solution",
                        detail: $result->getMessage(),
                        source: '',
                    );
                    break;
                }
                $full = $state->result($run);
                if (!($result instanceof RunResult) || $full === null || $result->brightest() <= 0) {
                    continue;
                }
                $limit = $state->plan->limits->evenness;
                if ($result->evenness() < $limit && $full->evenness() >= $limit) {
                    $findings[] = $this->rule('scene-evenness')->watch(
                        place: new FindingPlace(JobStage::Wire, $run),
                        title: "{$state->plan->run($run)->name()} is uneven in “{$scene->name}”",
                        detail: sprintf(
                            'Darkest %.2f of the brightest there, %.2f at full; limit %.2f. Dimming does not make a strip more even: ' .
                                'in its on-time the whole current flows.',
                            $result->evenness(),
                            $full->evenness(),
                            $limit,
                        ),
                        number: $result->evenness(),
                        limit: $limit,
                    );
                }
            }
        }

        return $findings;
    }
}
