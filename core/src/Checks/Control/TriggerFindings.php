<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Control;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Checks\Rule;
use EmberDusk\Control\Keepers;
use EmberDusk\Control\Priorities;
use EmberDusk\Control\Year;
use EmberDusk\Plan\Trigger;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** What starts something by itself: whether anything of the job can, what fights, and what the sun makes of it over a year. */
final readonly class TriggerFindings implements Check
{
    public function rules(): array
    {
        return [
            new Rule('trigger-fight', 'trigger', 'of two that are on at once it is said which wins', Rule::OWN),
            new Rule('trigger-kit', 'trigger', 'something of the job can start it', Rule::LEAFLET),
            new Rule('trigger-place', 'trigger', 'where the job lies is known where the sun decides', Rule::OWN),
            new Rule(
                'trigger-sun',
                'trigger',
                'the sun sets and rises when it is waited for, and in its order',
                'the almanac',
            ),
        ];
    }

    public function check(Judged $job): array
    {
        $plan = $job->plan;
        $findings = [];
        foreach ((new Priorities($plan))->fights() as [$a, $b, $lights]) {
            $findings[] = self::finding(
                'trigger-fight',
                ucfirst("{$a->words()} and {$b->words()} fight"),
                'Both have the number ' .
                    "{$a->priority}, and want different light of " .
                    implode(', ', array_map($plan->lightName(...), $lights)) .
                    '. Give the one that goes before a lower number.',
                $b,
            );
        }
        foreach ($plan->triggers as $trigger) {
            $why = Keepers::none($plan, $trigger);
            if ($why !== null) {
                $findings[] = self::finding(
                    'trigger-kit',
                    ucfirst($trigger->words()) . ' starts nothing here',
                    $why,
                    $trigger,
                );
            }
        }

        return [...$findings, ...self::sun($job)];
    }

    /** @return list<Finding> */
    private static function sun(Judged $job): array
    {
        $by = array_filter(
            $job->plan->triggers,
            static fn(Trigger $t): bool => $t->timed() && $t->by !== Trigger::CLOCK,
        );
        if ($by === []) {
            return [];
        }
        if ($job->plan->position === null) {
            return [
                new Finding(
                    code: 'trigger-place',
                    severity: Severity::Open,
                    title: 'Where does the job lie?',
                    detail: 'Sunrise and sunset go by its latitude and longitude: type them at Scenes.',
                    place: new Place('scenes'),
                ),
            ];
        }
        $findings = [];
        $year = Year::of($job->plan, (int) substr($job->state->today, 0, 4), $job->state->zone);
        foreach ($year->missed as $miss) {
            $findings[] = self::finding(
                'trigger-sun',
                sprintf('On %d days of the year %s', $miss['days'], $miss['why']),
                ucfirst($miss['trigger']->words()) .
                    " starts nothing then, from {$miss['first']} to {$miss['last']}. Let a time of day start it as well.",
                $miss['trigger'],
            );
        }
        foreach ($year->crossed as $crossed) {
            $findings[] = self::finding(
                'trigger-sun',
                ucfirst("{$crossed['on']->words()} comes after {$crossed['off']->words()} on {$crossed['days']} days"),
                "First on {$crossed['first']}, last on {$crossed['last']}: it goes on after it was to go out, and stays on. " .
                    'Put it out later, or by the sun as well.',
                $crossed['on'],
            );
        }

        return $findings;
    }

    private static function finding(string $code, string $title, string $detail, Trigger $trigger): Finding
    {
        return new Finding(
            code: $code,
            severity: Severity::Watch,
            title: $title,
            detail: $detail,
            place: new Place('scenes', $trigger->id),
            source: $code === 'trigger-kit' ? Rule::LEAFLET : '',
        );
    }
}
