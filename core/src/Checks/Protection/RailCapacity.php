<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Protection;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\PlannerLimit;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\RunCheck;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Kit\Strip;
use EmberDusk\Plan\Changes\Wires\FeedPattern;
use EmberDusk\Plan\Feed;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\Severity;

/**
 * A strip's own rail carries what leaves a feed into it: as its entry says, with another feed open too; where that is
 * silent more than 5 A into one end of a strip of 8 to 12 mm are worth a warning (common practice, no source).
 */
final readonly class RailCapacity extends RunCheck
{
    private const USUAL = 5.0;

    public function rules(): array
    {
        return [
            new Rule(
                'rail-amps',
                'run',
                'the current from a feed into one end of a strip is within its rail rating; without a rating, a warning above 5 A',
                Rule::PRACTICE,
                binds: PlannerLimit::Rail,
            ),
        ];
    }

    protected function run(JudgedRun $case): array
    {
        $stated = $case->strip?->railAmps;
        $limit = self::limit($case->strip);
        $amps = round(self::amps($case->job, $case, $stated !== null), 4);
        if ($case->strip === null || $amps <= $limit) {
            return [];
        }
        $pads = array_map(static fn(Feed $f): int => $f->pad, $case->plan->ways()->feedsOf($case->run));
        $ends = [0, $case->plan->of($case->run)->marks()->lastPad()];

        // A stated rating counts with one feed open too: then the other end carries everything, whatever is fed.
        $fixes =
            $stated === null && array_diff($ends, $pads) !== []
                ? [new Fix('Feed both ends', FeedPattern::payload(run: $case->run->id, pattern: 'ends'))]
                : [];

        return [
            $this->rule('rail-amps')->finding(
                severity: $stated === null ? Severity::Watch : Severity::Stop,
                place: new FindingPlace(JobStage::Wire, $case->run->id),
                title: sprintf('%.1f A into one end of %s, rail rating %g A', $amps, $case->run->name(), $limit),
                detail: ($stated === null
                    ? 'The entry has no rail rating; for a strip of 8 to 12 mm that is a lot. '
                    : '') .
                    'The copper at the feed gets hot and discolours. Feed it at more points, or cut it into parts.',
                number: $amps,
                limit: $limit,
                source: $stated === null ? Rule::PRACTICE : Rule::LEAFLET,
                fixes: $fixes,
            ),
        ];
    }

    /** Amps into one end of a strip at most. */
    public static function limit(?Strip $strip): float
    {
        return $strip->railAmps ?? self::USUAL;
    }

    /** @param  bool  $open  with another feed open too, as far as the cable to an end feed shows it */
    private static function amps(JudgedJob $job, JudgedRun $case, bool $open): float
    {
        $id = $case->run->id;
        $amps = 0.0;
        foreach (
            [
                $job->result($id),
                ...array_map(
                    static fn(string $s): ?RunResult => $job->state->inScene($s, $id),
                    array_keys($job->plan->scenes),
                ),
            ]
            as $result
        ) {
            $amps = max($amps, $result?->fullestRail() ?? 0.0);
        }
        if ($open) {
            foreach ($case->plan->ways()->feedsOf($case->run) as $feed) {
                if ($feed->pad === 0 || $feed->pad === $case->plan->of($case->run)->cutMarks()?->lastPad()) {
                    $amps = max(
                        $amps,
                        $job->cables()[$case->plan->ways()->cableTo($feed->id)->id ?? '']->openAmps ?? 0.0,
                    );
                }
            }
        }

        return $amps;
    }
}
