<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Join;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Checks\Rule;
use EmberDusk\Control\AnswerBoard;
use EmberDusk\Joining\Blocked;
use EmberDusk\Joining\Joinable;
use EmberDusk\Plan\Changes\Control\SetAnswer;
use EmberDusk\Plan\Changes\Job\Together;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Severity;

/** What cannot be joined as it stands, once something of the job is meant to work the lights: named long before the first step on site. */
final readonly class Unjoinable implements Check
{
    public function rules(): array
    {
        return [
            new Rule(
                'unjoinable',
                'controller',
                'every light has a control that can work it, with room for it, and leaflets that say how they join',
                Rule::LEAFLET,
            ),
        ];
    }

    /** @return list<Fix> two lights that share a zone */
    private static function merged(Judged $job, string $control): array
    {
        $merges = array_filter(
            AnswerBoard::of($job->plan, [])->merges(),
            static fn(array $m): bool => $m['control']->id === $control,
        );

        return array_values(
            array_map(static function (array $m): Fix {
                $words = "{$m['light']->called()} shares zone {$m['zone']} with {$m['with']->called()}";

                // The other one keeps its zone.
                return new Fix(
                    $words,
                    Together::payload($words, [
                        SetAnswer::payload($m['control']->item, $m['with']->item, true, $m['zone']),
                        SetAnswer::payload($m['control']->item, $m['light']->item, true, $m['zone']),
                    ]),
                );
            }, $merges),
        );
    }

    public function check(Judged $job): array
    {
        $joinable = Joinable::of($job->plan);
        // Where no control is chosen at all yet, that is no fault of each light.
        $chosen =
            $joinable->any() ||
            array_filter($joinable->blocked, static fn(Blocked $b): bool => $b->code !== Blocked::NO_CONTROL) !== [];

        return array_values(
            array_map(
                static fn(Blocked $b): Finding => new Finding(
                    code: 'unjoinable',
                    severity: in_array($b->code, [Blocked::ZONES, Blocked::FULL], true)
                        ? Severity::Watch
                        : Severity::Open,
                    title: $b->title,
                    detail: $b->detail,
                    place: $b->place,
                    source: Rule::LEAFLET,
                    fixes: $b->code === Blocked::ZONES ? self::merged($job, $b->unit) : [],
                ),
                // A control that reaches nothing is told where it stands among the kit.
                $chosen
                    ? array_filter($joinable->blocked, static fn(Blocked $b): bool => $b->code !== Blocked::NO_LIGHT)
                    : [],
            ),
        );
    }
}
