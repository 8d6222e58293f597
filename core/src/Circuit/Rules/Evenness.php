<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Rules;

use EmberDusk\Plan\Feed;
use EmberDusk\Workings\Finding;
use EmberDusk\Workings\Fix;
use EmberDusk\Workings\Place;
use EmberDusk\Workings\Severity;

/** Darkest over brightest: 0.90 and up even, to 0.80 visible to a careful eye, below visible (common practice, no source). */
final readonly class Evenness implements Rule
{
    private const VISIBLE = 0.80;

    public function check(Judged $case): array
    {
        $result = $case->result;
        if ($result === null) {
            return [];
        }
        $even = $result->evenness();
        $limit = $case->plan->limits->evenness;
        $range = $result->evennessRange();
        if ($even >= $limit && ! $range->straddles($limit)) {
            return [];
        }
        $at = ($result->darkestGroup() + 0.5) * $result->pitch;
        $name = $case->run->name();
        [$severity, $title] = match (true) {
            $range->straddles($limit) => [Severity::Watch, "{$name}: near the limit of evenness"],
            $even >= self::VISIBLE => [Severity::Watch, "{$name}: a careful eye sees the fall"],
            default => [Severity::Stop, "{$name}: visibly dull"],
        };

        return [new Finding('evenness', $severity, $title,
            sprintf('Darkest %.2f of the brightest, at %.2f m; limit %.2f. With rails and supply as far off as they may be: %.2f to %.2f.',
                $even, $at, $limit, $range->low, $range->high),
            new Place('wire', $case->run->id), $even, $limit, 'common practice, no source', self::fixes($case))];
    }

    /** @return list<Fix> */
    private static function fixes(Judged $case): array
    {
        $marks = $case->plan->cutMarks($case->run);
        $fed = array_map(static fn (Feed $f): int => $f->pad, $case->plan->feedsOf($case->run));
        if ($marks === null) {
            return [];
        }
        $fixes = [];
        if (array_diff([0, $marks->lastPad()], $fed) !== []) {
            $fixes[] = new Fix('Feed both ends', ['kind' => 'FeedPattern', 'run' => $case->run->id, 'pattern' => 'ends']);
        }
        if (! in_array($marks->nearest($marks->length() / 2), $fed, true)) {
            $fixes[] = new Fix('Feed the middle', ['kind' => 'FeedPattern', 'run' => $case->run->id, 'pattern' => 'middle']);
        }

        return $fixes;
    }
}
