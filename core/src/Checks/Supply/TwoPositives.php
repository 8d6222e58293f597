<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Supply;

use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\RunCheck;
use EmberDusk\Plan\Changes\Runs\SetZones;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** Two supplies never feed one + rail: it is cut between their zones, the minus stays common (common practice, no source). */
final readonly class TwoPositives extends RunCheck
{
    public function rules(): array
    {
        return [new Rule('two-positives', 'run', 'two supplies never feed one + rail', Rule::PRACTICE)];
    }

    protected function run(JudgedRun $case): array
    {
        $marks = $case->plan->of($case->run)->cutMarks();
        if ($marks === null || $case->strip?->switched() !== false) {
            return [];
        }
        $before = null;
        $cuts = [];
        foreach ($case->plan->ways()->feedsOf($case->run) as $feed) {
            $supply = $case->plan->ways()->root($case->plan->ways()->cableTo($feed->id)->from ?? '');
            if ($supply === null) {
                continue;
            }
            // A feed at a cut pad feeds the zone after it.
            $parted =
                $before !== null &&
                array_filter(
                    $case->run->zones,
                    static fn(int $pad): bool => $pad > $before[1] && $pad <= $feed->pad,
                ) !== [];
            if ($before !== null && $supply !== $before[0] && !$parted) {
                $cuts[] = [$before[0], $supply, intdiv($before[1] + $feed->pad, 2)];
            }
            $before = [$supply, $feed->pad];
        }
        if ($cuts === []) {
            return [];
        }
        [$one, $other, $pad] = $cuts[0];

        return [
            $this->rule('two-positives')->stop(
                place: new FindingPlace(JobStage::Wire, $case->run->id),
                title: strtoupper($one) . ' and ' . strtoupper($other) . " feed one + of {$case->run->name()}",
                detail: 'The one with more volts drives current into the other. Cut the + rail between them and keep the minus connected.',
                fixes: [
                    new Fix(
                        "Cut the + at {$case->plan->terms->say($marks->position($pad))}",
                        SetZones::payload(
                            run: $case->run->id,
                            pads: [...$case->run->zones, ...array_map(static fn(array $c): int => $c[2], $cuts)],
                        ),
                    ),
                ],
            ),
        ];
    }
}
