<?php

declare(strict_types=1);

namespace EmberDusk\Advice\Planner;

use EmberDusk\Advice\Options\Prices;
use EmberDusk\Kit\Cable;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Changes\ShelfSource;
use EmberDusk\Plan\Frozen;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Workings\Trouble;

/** All ways to feed one run with the strip, supply and controller that it has, cheapest first. */
final readonly class Choices
{
    /** Minutes a joint (common practice, no source). */
    public const JOINT = 6.0;

    /** @return list<Choice> */
    public static function of(Plan $plan, Run $run, ShelfSource $shelf): array
    {
        $strip = $plan->strip($run->strip);
        $supply = $plan->supply($run->supply);
        if ($strip === null || $supply === null || $plan->origin($run) === null) {
            return [];
        }
        $cores = count($strip->channels) + 1;
        $choices = [];
        $tails = self::cables($shelf, $plan, $cores, $supply->overloadAmps);
        $trunks = $strip->switched() ? self::cables($shelf, $plan, 2, $supply->overloadAmps) : [null];
        foreach (Feeding::all() as $feeding) {
            foreach ($tails as $tail) {
                foreach ($trunks as $trunk) {
                    $choice = self::choice($plan, $run, $feeding, $tail, $trunk, $cores, $shelf);
                    if ($choice !== null) {
                        $choices[] = $choice;
                    }
                }
            }
        }
        usort($choices, static fn (Choice $a, Choice $b): int => [$a->cost, $a->key()] <=> [$b->cost, $b->key()]);

        return $choices;
    }

    private static function choice(Plan $plan, Run $run, Feeding $feeding, Frozen $tail, ?Frozen $trunk, int $cores, ShelfSource $shelf): ?Choice
    {
        $changes = [['kind' => 'SetFeeds', 'run' => $run->id, 'shares' => $feeding->shares], ['kind' => 'ChooseKit', 'run' => $run->id, 'kit' => $tail->entry->id()]];
        try {
            $made = self::applied($plan, $changes, $shelf);
            $lead = $trunk === null ? null : $made->cableTo($run->controller ?? '');
            if ($lead !== null) {
                $changes[] = ['kind' => 'SetCable', 'cable' => $lead->id, 'kit' => $trunk->entry->id()];
            }
        } catch (Trouble) {
            return null;
        }
        $feeds = $made->feedsOf($run);
        $metres = array_sum(array_map(static fn ($f): float => self::rounded($made->cableTo($f->id)), $feeds));
        $joints = 2 * $cores * count($feeds) + ($lead === null ? 0 : 4);
        $cost = $metres * (Prices::of($tail) ?? 0.0) + ($lead === null ? 0.0 : self::rounded($lead) * (Prices::of($trunk) ?? 0.0)) + $joints * self::JOINT / 60 * $plan->terms->hourRate;
        $label = static fn (Frozen $f): string => $f->entry instanceof Cable ? $f->entry->cores.' x '.$f->entry->conductor->label() : $f->entry->name();

        return new Choice($run->id, $feeding->name, $tail->entry->id(), $trunk?->entry->id(), (int) round($cost * 10_000), $joints,
            "fed at {$feeding->name}, ".$label($tail).($trunk === null ? '' : ', trunk '.$label($trunk)), $changes);
    }

    /**
     * Of each size the least dear cable with cores enough that may carry what the supply keeps up; what has no price is left out.
     *
     * @return list<Frozen>
     */
    private static function cables(ShelfSource $shelf, Plan $plan, int $cores, float $overload): array
    {
        $best = [];
        foreach ($shelf->ofKind('cable') as $frozen) {
            $cable = $frozen->entry;
            $price = Prices::of($frozen);
            if ($cable instanceof Cable && $price !== null && $cable->cores >= $cores && $cable->conductor->system === $plan->terms->wire && ($cable->conductor->capacity ?? 0.0) >= $overload) {
                $size = $cable->conductor->label();
                if (! isset($best[$size]) || $price < Prices::of($best[$size])) {
                    $best[$size] = $frozen;
                }
            }
        }

        return array_values($best);
    }

    /** Metres rounded up to 0.1. */
    private static function rounded(?LaidCable $cable): float
    {
        return ceil(10 * ($cable->length ?? 0.0) - 1e-9) / 10;
    }

    /**
     * @param  list<array<string, mixed>>  $changes
     *
     * @throws Trouble
     */
    public static function applied(Plan $plan, array $changes, ShelfSource $shelf): Plan
    {
        foreach ($changes as $change) {
            $plan = Catalogue::read($change, $shelf)->apply($plan);
        }

        return $plan;
    }
}
