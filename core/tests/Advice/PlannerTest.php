<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Advice;

use EmberDusk\Advice\Planner\Choice;
use EmberDusk\Advice\Planner\Choices;
use EmberDusk\Advice\Planner\Planner;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Rules\Seam;
use EmberDusk\Formats\Json;
use EmberDusk\Formats\Schema;
use EmberDusk\Plan\Changes\ShelfSource;
use EmberDusk\Plan\Frozen;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\TestCase;

/** The planner against nested loops that share only its table of choices: equal cost, equal plan, or neither finds one. */
final class PlannerTest extends TestCase
{
    /** A shelf with few cables, so that every combination can be tried. */
    private static function few(string ...$cables): ShelfSource
    {
        return new class($cables) implements ShelfSource
        {
            /** @param  array<array-key, string>  $cables */
            public function __construct(private readonly array $cables)
            {
            }

            public function find(string $id): ?Frozen
            {
                return Demo::shelf()->find($id);
            }

            public function ofKind(string $kind): array
            {
                return array_values(array_filter(Demo::shelf()->ofKind($kind), fn (Frozen $f): bool => $kind !== 'cable' || in_array($f->entry->id(), $this->cables, true)));
            }
        };
    }

    /** @param  list<Choice>  $choices */
    private static function holds(Plan $plan, array $choices, ShelfSource $shelf): bool
    {
        foreach ($choices as $choice) {
            $plan = Choices::applied($plan, $choice->changes, $shelf);
        }
        foreach ($choices as $choice) {
            $run = $plan->run($choice->run);
            $result = Engine::nominal($plan, $run);
            $volts = min([INF, ...array_values(array_map(static fn ($f): float => $f->volts, $result->feeds))]);
            $fits = round(min([INF, ...$result->light]) / max([0.0, ...$result->light]), 4) >= $plan->limits->evenness
                && (! Seam::applies($plan, $run) || round($result->seam(), 4) <= $plan->limits->seam)
                && round($result->supplyVolts - $volts, 4) <= $plan->limits->drop * ($plan->strip($run->strip)->volts ?? 0);
            foreach ($result->cables as $id => $cable) {
                $fits = $fits && round(max($cable->outAmps, $cable->backAmps), 4) <= ($plan->cable($plan->cables[$id]->kit)->conductor->capacity ?? 0);
            }
            if (! $fits) {
                return false;
            }
        }

        return true;
    }

    /** @return array{int, list<string>}|null cost and keys of the cheapest */
    private static function enumerated(Plan $plan, ShelfSource $shelf, string ...$runs): ?array
    {
        $best = null;
        $lists = array_map(static fn (string $r): array => Choices::of($plan, $plan->run($r), $shelf), array_values($runs));
        foreach ($lists[0] as $a) {
            foreach ($lists[1] ?? [null] as $b) {
                $choices = $b === null ? [$a] : [$a, $b];
                $cost = array_sum(array_map(static fn (Choice $c): int => $c->cost, $choices));
                if (($best === null || $cost < $best[0]) && self::holds($plan, $choices, $shelf)) {
                    $best = [$cost, array_map(static fn (Choice $c): string => $c->key(), $choices)];
                }
            }
        }

        return $best;
    }

    public function test_it_finds_what_nested_loops_find(): void
    {
        mt_srand(404);
        $shelf = self::few('cable-2x15', 'cable-2x25', 'cable-3x15', 'cable-3x25');
        $seen = ['infeasible' => 0, 'not the simplest' => 0];
        for ($case = 0; $case < 24; $case++) {
            $metres = mt_rand(30, 220) / 10;
            $single = mt_rand(0, 1) === 1;
            $plan = Demo::run((string) $metres, $single ? ['strip-single-24', 'strip-single-12'][mt_rand(0, 1)] : 'strip-tunable-24', 'supply-24-240', $single ? 'controller-zigbee-1' : 'controller-zigbee-2', 'cable-3x15');
            $plan = Demo::with($plan, ['kind' => 'SetLimits', 'drop' => [0.01, 0.03, 0.05][mt_rand(0, 2)], 'headroom' => 0.2, 'evenness' => [0.8, 0.9, 0.95, 0.99][mt_rand(0, 3)], 'seam' => 0.05, 'cableCelsius' => 40]);
            $wanted = self::enumerated($plan, $shelf, 'line');
            $found = Planner::of($plan, ['line'], $shelf)->found;
            self::assertSame($wanted, $found === null ? null : [$found->cost(), array_map(static fn (Choice $c): string => $c->key(), $found->choices)], "case {$case}");
            $seen['infeasible'] += (int) ($wanted === null);
            $seen['not the simplest'] += (int) ($found !== null && ! in_array($found->choices[0]->pattern, ['start', 'end'], true));
        }
        self::assertGreaterThanOrEqual(3, $seen['infeasible']);
        self::assertGreaterThanOrEqual(6, $seen['not the simplest']);
    }

    /** Two runs on one supply: what each would do alone can clash in the shared trunk and supply, so they are planned together. */
    public function test_runs_that_share_a_supply_are_planned_together(): void
    {
        mt_srand(405);
        $shelf = self::few('cable-2x25', 'cable-3x15', 'cable-3x25');
        for ($case = 0; $case < 3; $case++) {
            $kit = static fn (string $run): array => array_map(static fn (string $k): array => ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $k], ['strip-tunable-24', 'supply-24-240', 'controller-zigbee-2', 'cable-3x15']);
            $plan = Demo::with(new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
                ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => 'start end'."\n".(mt_rand(40, 90) / 10)." line\n".(mt_rand(40, 90) / 10).' shelf'], ...$kit('line'), ...$kit('shelf'));
            $plan = Demo::with($plan, ['kind' => 'ShareKit', 'run' => 'shelf', 'with' => 's1'], ['kind' => 'SetLimits', 'drop' => [0.012, 0.02, 0.05][$case], 'headroom' => 0.2, 'evenness' => 0.93, 'seam' => 0.05, 'cableCelsius' => 40]);
            self::assertSame([['line', 'shelf']], Planner::together($plan));
            $wanted = self::enumerated($plan, $shelf, 'line', 'shelf');
            $found = Planner::of($plan, ['line', 'shelf'], $shelf)->found;
            self::assertSame($wanted[0] ?? null, $found?->cost(), "case {$case}");
        }
    }

    public function test_a_proposal_is_explained_and_taken_over(): void
    {
        $plan = Demo::plan();
        $proposal = Planner::of($plan, ['cove'], Demo::shelf());
        $shown = $proposal->toArray($plan);
        Schema::check(Json::object(Json::compact($shown)), 'responses#/$defs/proposal');
        self::assertNotNull($proposal->found);
        self::assertSame($proposal->found->cost(), $proposal->bound, 'exact: the bound is what was found');
        foreach ($proposal->cheaper as $cheaper) {
            self::assertLessThanOrEqual($proposal->found->cost(), $cheaper->cost());
            self::assertNotSame([], $cheaper->broken);
        }
        self::assertGreaterThanOrEqual($proposal->found->evenness, $proposal->alternatives['most even']->evenness);
        self::assertLessThanOrEqual($proposal->found->joints(), $proposal->alternatives['fewest joints']->joints());
        $taken = Demo::with($plan, $shown['found']['take']);
        self::assertTrue(self::holds($taken, [], Demo::shelf()));
        self::assertGreaterThanOrEqual(0.9, Engine::nominal($taken, $taken->run('cove'))->evenness());
    }

    public function test_what_cannot_hold_is_told_with_the_nearest(): void
    {
        $plan = Demo::with(Demo::plan(), ['kind' => 'SetLimits', 'drop' => 0.005, 'headroom' => 0.2, 'evenness' => 1, 'seam' => 0.05, 'cableCelsius' => 40]);
        $proposal = Planner::of($plan, ['cove'], self::few('cable-3x15', 'cable-2x15'));
        self::assertNull($proposal->found);
        self::assertNotSame([], $proposal->nearest->broken ?? []);
        Schema::check(Json::object(Json::compact($proposal->toArray($plan))), 'responses#/$defs/proposal');
        $stopped = Planner::of(Demo::plan(), ['cove'], Demo::shelf(), static fn (int $solved): bool => $solved >= 2);
        self::assertSame([null, 2], [$stopped->found, $stopped->solved]);
    }
}
