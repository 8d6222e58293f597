<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Light;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\PlannerLimit;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\RunCheck;
use EmberDusk\Checks\SolvesFixes;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Sag;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Changes\Wires\FeedPattern;
use EmberDusk\Plan\Changes\Wires\SetFeeds;
use EmberDusk\Plan\Feed;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\Refusal;
use EmberDusk\Values\Severity;

/** Darkest over brightest: 0.90 and up even, to 0.80 visible to a careful eye, below visible (common practice, no source). */
final readonly class Evenness extends RunCheck implements SolvesFixes
{
    private const VISIBLE = 0.8;

    /** By how much the closed form may be too dark. */
    private const ROUGH = 0.02;

    /** Most feeds that are proposed. */
    private const FEEDS = 6;

    public function rules(): array
    {
        return [
            new Rule(
                'evenness',
                'run',
                'the darkest place of a run reaches the limit of evenness (0.90); below 0.80 it is plainly visible',
                Rule::PRACTICE,
                binds: PlannerLimit::Evenness,
            ),
        ];
    }

    protected function run(JudgedRun $case): array
    {
        $result = $case->result;
        if ($result === null) {
            return [];
        }
        $even = round($result->evenness(), 4);
        $limit = $case->plan->limits->evenness;
        $range = $result->evennessRange();
        if ($even >= $limit && !$range->straddles($limit)) {
            return [];
        }
        $at = ($result->darkestGroup() + 0.5) * $result->pitch;
        $name = $case->run->name();
        [$severity, $title] = match (true) {
            $range->straddles($limit) => [Severity::Watch, "{$name}: near the limit of evenness"],
            $even >= self::VISIBLE => [Severity::Watch, "{$name}: slightly dull"],
            default => [Severity::Stop, "{$name}: visibly dull"],
        };

        return [
            $this->rule('evenness')->finding(
                severity: $severity,
                place: new FindingPlace(JobStage::Wire, $case->run->id),
                title: $title,
                detail: sprintf(
                    'Darkest %.2f of the brightest, at %s; limit %.2f.%s',
                    $even,
                    $case->plan->terms->say($at),
                    $limit,
                    $range->low < $range->high
                        ? sprintf(' With rail and supply tolerances: %.2f to %.2f.', $range->low, $range->high)
                        : '',
                ),
                number: $even,
                limit: $limit,
                asks: $case->shelf !== null,
            ),
        ];
    }

    public function mend(JudgedJob $job, Finding $finding): array
    {
        foreach ($job->runs() as $case) {
            if ($case->run->id === $finding->place->id) {
                return self::fixes($case);
            }
        }

        return [];
    }

    /** @return list<Fix> the first way of feeding that has been solved and holds the limit even with thin rails and low volts */
    private static function fixes(JudgedRun $case): array
    {
        $run = $case->run->id;
        $ways = [
            'Feed both ends' => FeedPattern::payload(run: $run, pattern: 'ends'),
            'Feed the middle' => FeedPattern::payload(run: $run, pattern: 'middle'),
        ];
        for ($k = 2; $k <= self::FEEDS; $k++) {
            $ways["Feed at {$k} equal points"] = SetFeeds::payload(
                run: $run,
                shares: array_map(static fn(int $j): float => (2 * $j - 1) / (2 * $k), range(1, $k)),
            );
        }
        $fixes = [];
        if ($case->shelf !== null) {
            foreach ($ways as $label => $change) {
                if ($fixes === [] && self::holds($case, $change)) {
                    $fixes[] = new Fix($label, $change);
                }
            }
        }

        return $fixes;
    }

    /** Whether a way of feeding looks good enough to be solved: its sag by the closed form of a ladder. */
    private static function promises(JudgedRun $case, Plan $fed): bool
    {
        $marks = $fed->of($case->run)->cutMarks();
        if ($case->strip === null || $marks === null) {
            return false;
        }
        $pads = array_map(static fn(Feed $f): int => $f->pad, $fed->ways()->feedsOf($case->run));

        return Sag::evenness($case->strip, $marks, array_values(array_unique($pads)), false) >=
            $case->plan->limits->evenness - self::ROUGH;
    }

    private static function holds(JudgedRun $case, ChangePayload $change): bool
    {
        try {
            assert($case->shelf !== null);
            $plan = Catalogue::make($change, $case->shelf)->apply($case->plan);
            if (!self::promises($case, $plan)) {
                return false;
            }
            $light = (new Engine($plan))->poorest($plan->run($case->run->id));
        } catch (Refusal) {
            return false;
        }

        // A dark run counts as uneven.
        return $light !== [] && max($light) > 0 && min($light) / max($light) >= $case->plan->limits->evenness;
    }
}
