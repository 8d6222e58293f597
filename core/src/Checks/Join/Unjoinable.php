<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Join;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Control\ControlMatrix;
use EmberDusk\Joining\Joinable;
use EmberDusk\Joining\JoinBlock;
use EmberDusk\Plan\Changes\Control\SetAnswer;
use EmberDusk\Plan\Changes\Job\ChangeGroup;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Severity;

/** Units that cannot be joined yet, once the job has a control: reported long before the first step on site. */
final readonly class Unjoinable extends Check
{
    public function rules(): array
    {
        return [
            new Rule(
                'unjoinable',
                'controller',
                'every light has a control that fits, with room for it, and instructions for joining',
                Rule::LEAFLET,
            ),
        ];
    }

    /** @return list<Fix> two lights that share a zone */
    private static function merged(JudgedJob $job, string $control): array
    {
        $merges = array_filter(
            ControlMatrix::for($job->plan, [])->merges(),
            static fn(array $m): bool => $m['control']->id === $control,
        );

        return array_values(
            array_map(static function (array $m): Fix {
                $words = "{$m['light']->called()} shares zone {$m['zone']} with {$m['with']->called()}";

                // The other one keeps its zone.
                return new Fix(
                    $words,
                    ChangeGroup::payload($words, [
                        SetAnswer::payload($m['control']->item, $m['with']->item, true, $m['zone']),
                        SetAnswer::payload($m['control']->item, $m['light']->item, true, $m['zone']),
                    ]),
                );
            }, $merges),
        );
    }

    public function check(JudgedJob $job): array
    {
        $joinable = Joinable::for($job->plan);
        // Without any control, each light is not to blame.
        $chosen =
            $joinable->any() ||
            array_filter($joinable->blocked, static fn(JoinBlock $b): bool => $b->code !== JoinBlock::NO_CONTROL) !==
                [];

        return array_values(
            array_map(
                fn(JoinBlock $b): Finding => $this->rule('unjoinable')->finding(
                    severity: in_array($b->code, [JoinBlock::ZONES, JoinBlock::FULL, JoinBlock::REMOTES], true)
                        ? Severity::Watch
                        : Severity::Open,
                    place: $b->place,
                    title: $b->title,
                    detail: $b->detail,
                    fixes: $b->code === JoinBlock::ZONES ? self::merged($job, $b->unit) : [],
                ),
                // A control without lights is reported with the other items.
                $chosen
                    ? array_filter(
                        $joinable->blocked,
                        static fn(JoinBlock $b): bool => $b->code !== JoinBlock::NO_LIGHT,
                    )
                    : [],
            ),
        );
    }
}
