<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Light;

use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\PlannerLimit;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\RunCheck;
use EmberDusk\Plan\Changes\Wires\FeedPattern;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\Severity;

/** Ends of one run within a metre of each other: a difference above 5 % is visible (common practice, no source). */
final readonly class Seam extends RunCheck
{
    /** Metres. */
    public const NEAR = 1.0;

    /** Share of its length by which the ends of a run may be apart and still meet: a straight run has none that do. */
    private const CLOSED = 0.5;

    public function rules(): array
    {
        return [
            new Rule(
                'seam',
                'run',
                'the ends of a run within a metre of each other differ by no more than the limit (5 %)',
                Rule::PRACTICE,
                binds: PlannerLimit::Seam,
            ),
        ];
    }

    protected function run(JudgedRun $case): array
    {
        $result = $case->result;
        if ($result === null || !self::applies($case->plan, $case->run)) {
            return [];
        }
        $limit = $case->plan->limits->seam;
        $range = $result->seamRange();
        $seam = round($result->seam(), 4);
        if ($seam <= $limit && !$range->straddles($limit)) {
            return [];
        }
        $fed = count($case->plan->ways()->feedsOf($case->run));

        $fixes =
            $fed <= 1 ? [new Fix('Feed both ends', FeedPattern::payload(run: $case->run->id, pattern: 'ends'))] : [];

        return [
            $this->rule('seam')->finding(
                severity: $range->straddles($limit) ? Severity::Watch : Severity::Stop,
                place: new FindingPlace(JobStage::Wire, $case->run->id),
                title: $case->run->name() .
                    ' seam: ' .
                    ($seam <= $limit ? 'just even' : 'the ends differ where they meet'),
                detail: sprintf(
                    'Start %.2f, end %.2f: %.1f %% apart, limit %.0f %%.',
                    $result->light[0],
                    $result->light[count($result->light) - 1],
                    100 * $seam,
                    100 * $limit,
                ) . ($fed > 1 ? ' Use the same cable size and length to both ends.' : ''),
                number: $seam,
                limit: $limit,
                fixes: $fixes,
            ),
        ];
    }

    public static function applies(Plan $plan, Run $run): bool
    {
        $apart = $plan->of($run)->endsApart();

        return $apart !== null && $apart <= self::NEAR && $apart <= self::CLOSED * $run->length();
    }
}
