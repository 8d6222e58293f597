<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Light;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\SolvesFixes;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Kit\NoShelf;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Changes\Wires\FeedPattern;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\Point;
use EmberDusk\Survey\RunPath;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\Refusal;

/** Ends of two runs of the same strip within a metre of each other: a difference above 5 % is visible (common practice, no source). */
final readonly class AdjacentEnds extends Check implements SolvesFixes
{
    /** Metres by which two ends may be apart and count as one place, however the runs are (common practice, no source). */
    private const CLOSE = 0.3;

    /** Cosine from which an end counts as before the other: within 60° of its direction. */
    private const AHEAD = 0.5;

    /** Metres of a run that tell in which direction it ends. */
    private const STEP = 0.02;

    public function rules(): array
    {
        return [
            new Rule(
                'seam-runs',
                'run',
                'ends of two runs of one strip within a metre of each other differ by no more than the limit (5 %)',
                Rule::PRACTICE,
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        return $this->for($job->plan, $job->results(), $job->shelf !== null);
    }

    public function mend(JudgedJob $job, Finding $finding): array
    {
        foreach (self::worst($job->plan, $job->results()) as $two) {
            if ($two->dark->id === $finding->place->id && self::title($two->dark, $two->bright) === $finding->title) {
                return self::fixes($job->plan, $two->dark, $two->bright);
            }
        }

        return [];
    }

    /**
     * @param  array<string, RunResult>  $results  by run
     * @return list<Finding> the worst place of each two runs
     */
    public function for(Plan $plan, array $results, bool $asks = false): array
    {
        return array_map(
            fn(UnevenEnds $two): Finding => $this->finding($plan, $asks, $two),
            self::worst($plan, $results),
        );
    }

    /**
     * @param  array<string, RunResult>  $results
     * @return list<UnevenEnds>
     */
    private static function worst(Plan $plan, array $results): array
    {
        $ends = [];
        foreach ($plan->runs as $id => $run) {
            $light = ($results[$id] ?? null)->light ?? [];
            if ($light !== []) {
                foreach (self::ends($plan, $run) as $end => $point) {
                    $ends["{$run->place} {$run->strip}"][] = [
                        $run,
                        $point,
                        $light[$end === 'start' ? 0 : count($light) - 1],
                    ];
                }
            }
        }
        $worst = [];
        foreach ($ends as $alike) {
            foreach ($alike as $n => [$a, $at, $one]) {
                foreach (array_slice($alike, $n + 1) as [$b, $to, $two]) {
                    $apart = max($one, $two) > 0 ? abs($one - $two) / max($one, $two) : 0.0;
                    if (
                        $a->id !== $b->id &&
                        $apart > ($worst["{$a->id} {$b->id}"]->apart ?? $plan->limits->seam) &&
                        self::meet($at, $to)
                    ) {
                        $worst["{$a->id} {$b->id}"] =
                            $one < $two
                                ? new UnevenEnds($apart, $a, $b, $one, $two)
                                : new UnevenEnds($apart, $b, $a, $two, $one);
                    }
                }
            }
        }

        return array_values($worst);
    }

    private function finding(Plan $plan, bool $asks, UnevenEnds $ends): Finding
    {
        [$dark, $bright, $apart] = [$ends->dark, $ends->bright, $ends->apart];

        return $this->rule('seam-runs')->watch(
            place: new FindingPlace(JobStage::Wire, $dark->id),
            title: self::title($dark, $bright),
            detail: sprintf(
                '%.2f beside %.2f: %.1f %% apart, limit %.0f %%. Feed them alike.',
                $ends->less,
                $ends->more,
                100 * $apart,
                100 * $plan->limits->seam,
            ),
            number: $apart,
            limit: $plan->limits->seam,
            asks: $asks,
        );
    }

    private static function title(Run $dark, Run $bright): string
    {
        return "{$dark->name()} and {$bright->name()} differ where they meet";
    }

    /** @return list<Fix> feeding both ends of one of the two, where that was solved and fixes it */
    private static function fixes(Plan $plan, Run ...$runs): array
    {
        foreach ($runs as $run) {
            $change = FeedPattern::payload(run: $run->id, pattern: 'ends');
            try {
                $made = Catalogue::make($change, new NoShelf())->apply($plan);
                $results = [];
                foreach ($runs as $of) {
                    $results[$of->id] = (new Engine($made))->nominal($made->run($of->id));
                }
                if (self::worst($made, $results) === []) {
                    return [new Fix('Feed both ends of ' . $run->name(), $change)];
                }
            } catch (Refusal) {
                continue;
            }
        }

        return [];
    }

    /** @return array{Point, Point} an end, and a point of the run a little before it */
    private static function end(RunPath $path, float $metres, float $step): array
    {
        return [$path->at($metres), $path->at($metres + $step)];
    }

    /**
     * Whether two ends are seen beside each other: close together, or one before the other. Ends on opposite sides of a
     * cupboard are abeam of each other.
     *
     * @param  array{Point, Point}  $one
     * @param  array{Point, Point}  $other
     */
    private static function meet(array $one, array $other): bool
    {
        $apart = $one[0]->to($other[0]);
        if ($apart > Seam::NEAR) {
            return false;
        }

        return $apart <= self::CLOSE ||
            self::along($one, $other[0]) >= self::AHEAD ||
            self::along($other, $one[0]) >= self::AHEAD;
    }

    /**
     * Cosine of the angle between the direction in which a run ends and the way from there to a point.
     *
     * @param  array{Point, Point}  $end
     */
    private static function along(array $end, Point $to): float
    {
        [$at, $before] = $end;
        $length = $at->to($before) * $at->to($to);
        if ($length <= 0) {
            return 0.0;
        }

        return (($at->x - $before->x) * ($to->x - $at->x) + ($at->y - $before->y) * ($to->y - $at->y)) / $length;
    }

    /** @return array<string, array{Point, Point}> start and end in the room; none for a run missing in the notes */
    private static function ends(Plan $plan, Run $run): array
    {
        $path = WallNotes::read($plan->places[$run->place]->notes ?? '')->runs[$run->word] ?? null;
        if ($path === null) {
            return [];
        }

        return [
            'start' => self::end($path, ($path->length() * ($run->part - 1)) / $run->parts, self::STEP),
            'end' => self::end($path, ($path->length() * $run->part) / $run->parts, -self::STEP),
        ];
    }
}
