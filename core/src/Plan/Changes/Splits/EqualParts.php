<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Splits;

use EmberDusk\Plan\Changes\Wires\Tails;
use EmberDusk\Plan\CutMarks;
use EmberDusk\Plan\Feed;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Slices;
use EmberDusk\Plan\Split;
use EmberDusk\Values\IncompletePlan;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;

/** A run cut in equal parts that keep its kit. Feeds stay where they are; a part without one gets one at its nearer end. */
final readonly class EqualParts
{
    /** @param  non-empty-list<Run>  $parts  in their order */
    private function __construct(public Plan $plan, public Split $split, public array $parts) {}

    /**
     * A run that is split already is put back together first.
     *
     * @param  positive-int  $count
     *
     * @throws Refusal when it is not wired yet, or too short
     */
    public static function for(Plan $plan, string $id, string $how, int $count): self
    {
        $whole = self::whole($plan, $id);
        [$plan, $run, $marks] = [$whole->plan, $whole->run, $whole->marks];
        $split = Split::for($plan, $run, $how);
        $parts = self::sliced($plan, $run, $count);
        $placed = self::placed($plan, $run, $marks, $parts);
        $lost = array_diff_key(array_filter($plan->feeds, static fn(Feed $f): bool => $f->run === $run->id), $placed);
        $after = $plan->with(
            runs: $parts + $plan->runs,
            feeds: $placed + array_diff_key($plan->feeds, $lost),
            cables: array_filter($plan->cables, static fn(LaidCable $c): bool => !isset($lost[$c->to])),
            splits: [$run->id => $split] + $plan->splits,
        );
        foreach (array_values($parts) as $n => $part) {
            if ($after->ways()->feedsOf($part) === []) {
                $after = self::fed($after, $part, $plan, $run, $marks, $n, $count);
            }
        }

        return new self(self::alike($after, $run, $parts), $split, array_values($parts));
    }

    /** The plan with the earlier state of the split run. */
    public static function remembered(Plan $plan, Split $split): Plan
    {
        return $plan->put('splits', $split->id, $split);
    }

    /**
     * A run put back together.
     *
     * @throws Refusal
     */
    public static function whole(Plan $plan, string $id): WholeRun
    {
        $run = $plan->run($id);
        if ($run->parts > 1 || $run->zones !== []) {
            $first = RejoinRun::first($plan, $run);
            $plan = RejoinRun::for($first->id)->apply($plan);
            $run = $plan->run($first->id);
        }
        $marks = $plan->of($run)->cutMarks();
        if ($marks === null || $run->supply === null || $plan->ways()->origin($run) === null) {
            throw IncompletePlan::at(
                '/run',
                $run->name() . ' has no ' . self::missing($plan, $run) . ' yet: choose it at Kit, then split.',
            );
        }

        return new WholeRun($plan, $run, $marks);
    }

    /** Scenes with the same levels for one thing as for another. */
    public static function played(Plan $plan, string $as, string $new): Plan
    {
        $scenes = $plan->scenes;
        foreach ($scenes as $id => $scene) {
            if (isset($scene->levels[$as])) {
                $scenes[$id] = $scene->lit($scene->levels + [$new => $scene->levels[$as]]);
            }
        }

        return $plan->with(scenes: $scenes);
    }

    private static function missing(Plan $plan, Run $run): string
    {
        return match (true) {
            $run->strip === null => 'strip',
            $run->supply === null => 'supply',
            default => 'controller',
        };
    }

    /**
     * @param  positive-int  $count
     * @return non-empty-array<string, Run>
     */
    private static function sliced(Plan $plan, Run $run, int $count): array
    {
        $parts = [];
        foreach (range(1, $count) as $part) {
            $id = $part === 1 ? $run->id : Plan::nextId("{$run->id}-", $plan->runs + $parts);
            [$sections, $jumps] = Slices::from($run->sections, $run->jumps, $part, $count);
            $slice = $sections !== [] ? $run->slice($id, $part, $count, $sections, $jumps) : null;
            if ($slice === null || $plan->of($slice)->marks()->groupCount() === 0) {
                throw InvalidInput::at(
                    '/parts',
                    sprintf('%s is too short: a part of %d is no piece of its strip.', $run->name(), $count),
                );
            }
            $parts[$id] = $slice;
        }

        return $parts;
    }

    /**
     * Maps the feeds of the entire onto its parts; of two on one pad the first stays.
     *
     * @param  non-empty-array<string, Run>  $parts
     * @return array<string, Feed>
     */
    private static function placed(Plan $plan, Run $run, CutMarks $marks, array $parts): array
    {
        $ids = array_keys($parts);
        $share = $run->length() / count($parts);
        $feeds = $seen = [];
        foreach ($plan->ways()->feedsOf($run) as $feed) {
            $metre = $marks->position($feed->pad);
            $n = max(0, min(count($parts) - 1, (int) ceil($metre / $share - 1e-9) - 1));
            $pad = $plan
                ->of($parts[$ids[$n]])
                ->marks()
                ->nearest($metre - $share * $n);
            if (!isset($seen[$ids[$n]][$pad])) {
                $seen[$ids[$n]][$pad] = true;
                $feeds[$feed->id] = new Feed($feed->id, $ids[$n], $pad);
            }
        }

        return $feeds;
    }

    /** Fed at the end to which less cable leads. */
    private static function fed(
        Plan $plan,
        Run $part,
        Plan $before,
        Run $run,
        CutMarks $marks,
        int $n,
        int $count,
    ): Plan {
        $share = $run->length() / $count;
        $start = (new Tails($before, $run))->reckon($marks->nearest($share * $n));
        $end = (new Tails($before, $run))->reckon($marks->nearest($share * ($n + 1)));
        $pad = $end < $start - 1e-9 ? $plan->of($part)->marks()->lastPad() : 0;

        return (new Tails($plan, $part))->led(
            feed: new Feed(Plan::nextId('f', $plan->feeds + $before->feeds), $part->id, $pad),
            kit: (new Tails($before, $run))->kit(),
            length: min($start, $end),
        );
    }

    /**
     * Parts are made up as the entire is, and play as it does where they are pixels.
     *
     * @param  non-empty-array<string, Run>  $parts
     */
    private static function alike(Plan $plan, Run $run, array $parts): Plan
    {
        foreach (array_keys($parts) as $id) {
            if ($id !== $run->id) {
                $plan = self::played($plan, $run->id, $id);
                if (isset($plan->makings[$run->id])) {
                    $plan = $plan->with(makings: $plan->makings + [$id => $plan->makings[$run->id]->forRun($id)]);
                }
            }
        }

        return $plan;
    }
}
