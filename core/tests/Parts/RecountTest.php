<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Parts;

use EmberDusk\Parts\Part;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Rates\Productivity;
use EmberDusk\Rates\Work;
use EmberDusk\Schedule\Step;
use EmberDusk\Schedule\Steps;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

/** Sixty random jobs with their parts counted again here from their inputs, not from the plan. */
final class RecountTest extends TestCase
{
    /** Strips of the demo shelf: millimetres between marks, cores of a joint, price of a reel of five metres. */
    private const STRIPS = [
        'strip-single-24' => [50, 2, 32.0],
        'strip-tunable-24' => [50, 3, 44.5],
        'strip-rgbw-24' => [100, 5, 54.5],
    ];

    private const CONTROLLERS = [
        'strip-single-24' => 'controller-zigbee-1',
        'strip-tunable-24' => 'controller-zigbee-2',
        'strip-rgbw-24' => 'controller-zigbee-4',
    ];

    private const TAILS = [2 => 'cable-2x15', 3 => 'cable-3x15', 5 => 'cable-5x075'];

    /**
     * @return array{Plan, list<array{strip: string, sections: list<float>, gap: float, mounting: string, damp: bool}>}
     */
    private static function job(int $seed): array
    {
        mt_srand($seed);
        $plan = new Plan("Job {$seed}", '');
        $runs = [];
        for ($n = 0; $n < mt_rand(1, 4); $n++) {
            $sections = array_map(static fn(): float => mt_rand(20, 900) / 100, range(1, mt_rand(1, 3)));
            $run = [
                'strip' => array_rand(self::STRIPS),
                'sections' => $sections,
                'gap' => 0.5,
                'mounting' => ['profile', 'bare', 'moving', 'removable'][mt_rand(0, 3)],
                'damp' => mt_rand(0, 1) === 1,
            ];
            $whole = array_sum($sections) + 0.5 * (count($sections) - 1);
            $at = 0.0;
            $gaps = '';
            foreach (array_slice($sections, 0, -1) as $section) {
                $at += $section;
                $gaps .= sprintf(', gap 0.50 at %.2f', $at);
                $at += 0.5;
            }
            $plan = $plan->with(places: $plan->places + ["p{$n}" => new Place("p{$n}", "Room {$n}", '')]);
            $word = "run{$n}";
            $plan = Demo::with($plan, [
                'kind' => 'ReviseNotes',
                'place' => "p{$n}",
                'text' => sprintf(
                    "%s\nstart end\n%.2f %s%s\nrun %s, %s",
                    $run['damp'] ? 'damp' : 'dry',
                    $whole,
                    $word,
                    $gaps,
                    $word,
                    $run['mounting'],
                ),
            ]);
            $id = (string) array_key_last($plan->runs);
            foreach (
                [
                    $run['strip'],
                    'supply-24-240',
                    self::CONTROLLERS[$run['strip']],
                    self::TAILS[self::STRIPS[$run['strip']][1]],
                ]
                as $kit
            ) {
                try {
                    $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => $id, 'kit' => $kit]);
                } catch (Refusal $refusal) {
                    self::fail("{$id}, {$kit}: {$refusal->getMessage()}");
                }
            }
            $runs[] = $run;
        }

        return [$plan, $runs];
    }

    /** @return array<string, Part> */
    private static function parts(Plan $plan): array
    {
        $parts = PartsList::for($plan, Demo::shelf())->parts;

        return array_combine(array_map(static fn(Part $p): string => $p->key, $parts), $parts);
    }

    public function test_strip_fixings_and_joints_come_to_the_same_when_they_are_counted_again(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            [$plan, $runs] = self::job($seed);
            $parts = self::parts($plan);
            $metres = $clips = $ties = $pads = $alcohol = $silicone = $profile = $caps = $clamps = $cores = [0.0];
            $strips = [];
            foreach ($runs as $run) {
                [$pitch, $core] = self::STRIPS[$run['strip']];
                // A section is cut back to its last mark; one shorter than a mark has no strip.
                $cut = array_map(
                    static fn(float $m): int => intdiv((int) round(1000 * $m), $pitch) * $pitch,
                    $run['sections'],
                );
                $strips[$run['strip']] = ($strips[$run['strip']] ?? 0) + array_sum($cut);
                $lit = count(array_filter($cut));
                $anchors = array_sum(
                    array_map(static fn(float $m): float => ceil(round($m / 0.75, 9)) + 1, $run['sections']),
                );
                $whole = array_sum($run['sections']);
                if ($run['mounting'] === 'profile') {
                    $clips[] = $anchors;
                    $profile[] = $whole;
                } else {
                    $alcohol[] = $whole;
                    $ties[] = $run['mounting'] === 'moving' ? ceil(round($whole / 0.3, 9)) : 0.0;
                    $pads[] = $run['mounting'] === 'removable' ? ceil(round($whole / 0.3, 9)) : 0.0;
                }
                $caps[] = $run['mounting'] === 'profile' ? 2.0 * count($run['sections']) : 0.0;
                $clamps[] = $run['mounting'] === 'moving' ? 2.0 : 0.0;
                $silicone[] = $run['damp'] ? 2.0 * count($run['sections']) : 0.0;
                // The tail's cores at the strip, a lead between sections at both ends, and reels that are joined; units have terminals.
                $cores[] = $core + 2 * $core * ($lit - 1);
            }
            $joined = 0;
            foreach (PartsList::for($plan, Demo::shelf())->cuts as $list) {
                $joined += isset(self::STRIPS[$list->kit]) ? $list->joints * self::STRIPS[$list->kit][1] : 0;
            }
            $said = "seed {$seed}";
            foreach ($strips as $strip => $mm) {
                self::assertEqualsWithDelta($mm / 1000, $parts[$strip]->count, 1e-6, $said);
                self::assertGreaterThanOrEqual(ceil($mm / 5000 - 1e-9), $parts[$strip]->buy, $said);
                self::assertEqualsWithDelta(
                    $parts[$strip]->buy * self::STRIPS[$strip][2],
                    $parts[$strip]->cost(),
                    0.005,
                    $said,
                );
            }
            foreach (
                [
                    'consumable-clips' => $clips,
                    'consumable-ties' => $ties,
                    'consumable-pads' => $pads,
                    'consumable-alcohol' => $alcohol,
                    'consumable-silicone' => $silicone,
                    'diffuser-opal' => $profile,
                    'consumable-caps' => $caps,
                    'consumable-clamps' => $clamps,
                    'consumable-guards' => $clamps,
                ]
                as $key => $counted
            ) {
                self::assertEqualsWithDelta(array_sum($counted), $parts[$key]->count ?? 0.0, 1e-6, "{$said}: {$key}");
            }
            self::assertEqualsWithDelta(
                array_sum($cores) + $joined,
                $parts['connector-solder']->count,
                1e-6,
                "{$said}: joints",
            );
            self::assertSame(
                max(1, (int) ceil(round($parts['connector-solder']->count / 10, 9))),
                $parts['connector-solder']->spare,
                $said,
            );
            self::assertEqualsWithDelta(
                $parts['connector-solder']->count,
                $parts['consumable-solder-wire']->count,
                1e-6,
                $said,
            );
        }
    }

    /** Every part that a run needs is needed by a step of that run, and by no step of another. */
    public function test_every_part_of_a_run_is_waited_for_by_its_steps(): void
    {
        for ($seed = 1; $seed <= 30; $seed++) {
            [$plan] = self::job($seed);
            $list = PartsList::for($plan, Demo::shelf());
            $steps = Steps::for($plan, $list, Productivity::from([]));
            foreach ($list->parts as $part) {
                foreach ($part->runs as $run) {
                    $needing = array_filter(
                        $steps,
                        static fn(Step $s): bool => in_array($part->key, $s->needs, true) &&
                            str_ends_with($s->id, "-{$run}"),
                    );
                    self::assertNotSame([], $needing, "seed {$seed}: {$part->name} for {$run}");
                }
                foreach ($steps as $step) {
                    if (in_array($part->key, $step->needs, true)) {
                        self::assertNotSame(
                            [],
                            array_filter(
                                $part->group === 'Hub' ? array_keys($plan->runs) : $part->runs,
                                static fn(string $r): bool => str_ends_with($step->id, "-{$r}") ||
                                    $step->id === "join-{$plan->run($r)->place}" ||
                                    $step->id === "settings-{$plan->run($r)->controller}",
                            ),
                            "seed {$seed}: {$step->id} needs {$part->name}",
                        );
                    }
                }
            }
        }
    }

    /** Predecessors exist, each place starts with its isolation and ends with tidying, and no step is there twice. */
    public function test_the_order_of_the_trade_holds_in_every_job(): void
    {
        /** @var array<string, int> $order */
        $order = array_flip([
            'ask',
            'settings',
            'isolate',
            'out',
            'trim',
            'trace',
            'dry',
            'supply',
            'cables',
            'posts',
            'strain',
            'loose',
            'cut',
            'profile',
            'stick',
            'joints',
            'second',
            'shake',
            'apart',
            'seal',
            'join',
            'diffuser',
            'item',
            'back',
            'tidy',
        ]);
        for ($seed = 1; $seed <= 60; $seed++) {
            [$plan] = self::job($seed);
            $steps = Steps::for($plan, PartsList::for($plan, Demo::shelf()), Productivity::from([]));
            $byId = array_combine(array_map(static fn(Step $s): string => $s->id, $steps), $steps);
            self::assertCount(count($steps), $byId, "seed {$seed}");
            foreach ($steps as $step) {
                self::assertNotSame('', $step->why, $step->id);
                self::assertGreaterThanOrEqual(5, $step->minutes, $step->id);
                self::assertSame(0, $step->minutes % 5, $step->id);
                self::assertLessThanOrEqual($step->work, $step->range[0], $step->id);
                self::assertGreaterThanOrEqual($step->work, $step->range[1], $step->id);
                foreach ($step->after as $before) {
                    self::assertArrayHasKey($before, $byId, $step->id);
                    // Bare strip is cut after it is stuck, strip for profile before; a short one is soldered before it is fixed.
                    self::assertTrue(
                        $order[$byId[$before]->kind->value] < $order[$step->kind->value] ||
                            in_array(
                                [$byId[$before]->kind, $step->kind],
                                [[Work::Stick, Work::Cut], [Work::Joints, Work::Profile], [Work::Joints, Work::Stick]],
                                true,
                            ),
                        "seed {$seed}: {$before} before {$step->id}",
                    );
                }
            }
            foreach (array_keys($plan->places) as $place) {
                self::assertArrayHasKey("isolate-{$place}", $byId);
                self::assertArrayHasKey("tidy-{$place}", $byId);
            }
        }
    }
}
