<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Parts;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Parts\AssemblyFindings;
use EmberDusk\Job\JobState;
use EmberDusk\Parts\Part;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Assembly;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Rates\Productivity;
use EmberDusk\Rates\Work;
use EmberDusk\Schedule\Step;
use EmberDusk\Schedule\Steps;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** How a run is made up, spares, offcuts and prices, counted by hand. */
final class MakingTest extends TestCase
{
    use AssembledPlan;

    /** @return iterable<string, array{string, string, array<string, float>}> */
    public static function mountings(): iterable
    {
        // 4 m: anchors at 0, 0.75 … and the end: ceil(4 / 0.75) + 1 = 7; ties and pads every 0.3 m: 14.
        yield 'profile' => [
            ', profile',
            'dry',
            ['consumable-clips' => 7.0, 'consumable-caps' => 2.0, 'profile-flat' => 4.0, 'diffuser-opal' => 4.0],
        ];
        yield 'profile in a damp place' => [
            ', profile',
            'damp',
            [
                'consumable-clips' => 7.0,
                'consumable-caps' => 2.0,
                'profile-outdoor' => 4.0,
                'consumable-silicone' => 2.0,
            ],
        ];
        yield 'outdoors' => [
            ', outdoors',
            'dry',
            ['consumable-clips' => 7.0, 'consumable-alcohol' => 4.0, 'consumable-silicone' => 2.0],
        ];
        yield 'moving' => [
            ', moving',
            'dry',
            [
                'consumable-ties' => 14.0,
                'consumable-alcohol' => 4.0,
                'consumable-clamps' => 2.0,
                'consumable-guards' => 2.0,
            ],
        ];
        yield 'removable' => [', removable', 'dry', ['consumable-pads' => 14.0, 'consumable-alcohol' => 4.0]];
        yield 'bare' => [', bare', 'dry', ['consumable-alcohol' => 4.0]];
    }

    /** @param  array<string, float>  $wanted */
    #[DataProvider('mountings')]
    public function test_derives_fixing_cleaning_and_sealing_from_the_mounting(
        string $described,
        string $site,
        array $wanted,
    ): void {
        $parts = self::parts(self::plan('4.00 line', $described, $site));
        $found = array_map(
            static fn(Part $p): float => round($p->count, 6),
            array_filter(
                $parts,
                static fn(Part $p): bool => in_array(
                    $p->group,
                    ['Fixing', 'Strain relief', 'Cleaning', 'Sealing', 'Profile', 'Diffuser'],
                    true,
                ),
            ),
        );
        ksort($found);
        $wanted += $described === ', profile' ? ['diffuser-opal' => 4.0] : [];
        ksort($wanted);
        self::assertSame($wanted, $found);
    }

    public function test_hot_glue_takes_the_place_of_silicone_and_nothing_cures(): void
    {
        $plan = self::plan('4.00 line', ', outdoors');
        self::assertContains('seal', self::steps($plan));
        $glued = Demo::with($plan, ['kind' => 'SetMaking', 'run' => 'line', 'seal' => 'glue']);
        $parts = self::parts($glued);
        self::assertSame([2.0, 2.0], [$parts['consumable-glue']->count, $parts['consumable-tape-foil']->count]);
        self::assertArrayNotHasKey('consumable-silicone', $parts);
        $seal = static fn(Plan $p): Step => array_values(
            array_filter(
                Steps::for($p, PartsList::for($p, Demo::shelf()), Productivity::from([])),
                static fn(Step $s): bool => $s->kind === Work::Seal,
            ),
        )[0];
        self::assertSame([1440, 0], [$seal($plan)->wait, $seal($glued)->wait]);
        self::assertSame(['consumable-silicone'], $seal($plan)->needs);
        self::assertSame(['consumable-glue', 'consumable-tape-foil'], $seal($glued)->needs);
        // As usual again: nothing is kept.
        self::assertSame([], Demo::with($glued, ['kind' => 'SetMaking', 'run' => 'line', 'seal' => ''])->makings);
    }

    public function test_the_two_methods_of_cutting(): void
    {
        $bare = self::plan('4.00 line', ', bare');
        self::assertSame(['dry', 'supply', 'cables', 'loose', 'stick', 'cut', 'joints', 'second'], self::steps($bare));
        self::assertSame(
            ['dry', 'supply', 'cables', 'loose', 'cut', 'stick', 'joints', 'second'],
            self::steps(Demo::with($bare, ['kind' => 'SetMaking', 'run' => 'line', 'cut' => 'before'])),
        );
        $profile = self::plan('4.00 line', ', profile');
        self::assertSame(
            ['dry', 'supply', 'cables', 'loose', 'cut', 'profile', 'joints', 'second', 'diffuser'],
            self::steps($profile),
        );
        self::assertSame(
            ['dry', 'supply', 'cables', 'loose', 'profile', 'cut', 'joints', 'second', 'diffuser'],
            self::steps(Demo::with($profile, ['kind' => 'SetMaking', 'run' => 'line', 'cut' => 'after'])),
        );
    }

    public function test_joints_are_made_in_the_way_that_was_chosen(): void
    {
        $plan = self::plan('4.00 line', ', bare');
        $step = static fn(Plan $p): Step => array_values(
            array_filter(
                Steps::for($p, PartsList::for($p, Demo::shelf()), Productivity::from([])),
                static fn(Step $s): bool => $s->kind === Work::Joints,
            ),
        )[0];
        $chosen = static fn(string $one, string $two): Plan => Demo::with(
            $plan,
            ['kind' => 'SetCable', 'cable' => 'k1', 'joint' => $one],
            ['kind' => 'SetCable', 'cable' => 'k2', 'joint' => $two],
        );
        // Eight joints: six minutes each soldered, three in a terminal or crimped, one and a half in levers.
        self::assertSame(
            ['Line: solder 2 joints, screw 6 cores into terminals', 2 * 6 + 6 * 3.0],
            [$step($plan)->title, $step($plan)->table],
        );
        self::assertSame(
            ['Line: crimp 8 joints', 24.0],
            [
                $step($chosen('connector-crimp', 'connector-crimp'))->title,
                $step($chosen('connector-crimp', 'connector-crimp'))->table,
            ],
        );
        self::assertSame(
            ['Line: put 8 cores into lever terminals', 12.0],
            [
                $step($chosen('connector-lever', 'connector-lever'))->title,
                $step($chosen('connector-lever', 'connector-lever'))->table,
            ],
        );
        self::assertSame(
            ['Line: solder 4 joints, crimp 4 joints', 36.0],
            [
                $step($chosen('connector-crimp', 'connector-solder'))->title,
                $step($chosen('connector-crimp', 'connector-solder'))->table,
            ],
        );
        self::assertContains('iron at 300 to 350 °C', $step($chosen('connector-crimp', 'connector-solder'))->tools);
        self::assertNotContains('iron at 300 to 350 °C', $step($chosen('connector-crimp', 'connector-crimp'))->tools);
        self::assertArrayNotHasKey(
            'consumable-solder-wire',
            self::parts($chosen('connector-crimp', 'connector-lever')),
        );
    }

    public function test_what_runs_share_is_fixed_and_laid_once(): void
    {
        $plan = Demo::with(new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]), [
            'kind' => 'ReviseNotes',
            'place' => 'room',
            'text' => "dry\nstart end\n2.00 line\n1.00 shelf\nrun line, bare\nrun shelf, bare",
        ]);
        foreach (['line', 'shelf'] as $run) {
            foreach (['strip-single-24', 'supply-24-240', 'controller-zigbee-2', 'cable-2x15'] as $kit) {
                $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $kit]);
            }
        }
        $of = static function (Plan $plan): array {
            $steps = Steps::for($plan, PartsList::for($plan, Demo::shelf()), Productivity::from([]));

            return array_combine(array_map(static fn(Step $s): string => $s->id, $steps), $steps);
        };
        $apart = $of($plan);
        self::assertSame([2.0, 2.0], [$apart['supply-line']->units, $apart['supply-shelf']->units]);
        $supply = $of(
            Demo::with($plan, ['kind' => 'ShareKit', 'run' => 'shelf', 'with' => (string) $plan->runs['line']->supply]),
        );
        self::assertSame(
            [2.0, 1.0, 'Shelf: fix the controller'],
            [$supply['supply-line']->units, $supply['supply-shelf']->units, $supply['supply-shelf']->title],
        );
        $both = Demo::with($plan, [
            'kind' => 'ShareKit',
            'run' => 'shelf',
            'with' => (string) $plan->runs['line']->controller,
        ]);
        $shared = $of($both);
        self::assertArrayNotHasKey('supply-shelf', $shared);
        // The shelf has only its own tail to lay, after what the line's step has fixed; the trunk's four joints are the line's.
        self::assertContains('supply-line', $shared['cables-shelf']->after);
        self::assertContains('cables-line', $shared['loose-shelf']->after);
        self::assertSame(
            [
                'Line: solder 2 joints, screw 6 cores into terminals',
                'Shelf: solder 2 joints, screw 2 cores into terminals',
            ],
            [$shared['joints-line']->title, $shared['joints-shelf']->title],
        );
        $trunk = $both->ways()->cableTo((string) $both->runs['line']->controller);
        self::assertNotNull($trunk);
        $tail = $both->ways()->cableTo($both->ways()->feedsOf($both->runs['line'])[0]->id);
        self::assertEqualsWithDelta($trunk->length + ($tail->length ?? 0.0), $shared['cables-line']->units, 1e-9);
        // In the parts list both joints and cables are counted once as well: two cores soldered to each strip.
        self::assertSame(4.0, self::parts($both)['connector-solder']->count);
        self::assertSame(['line', 'shelf'], self::parts($both)['cable-2x15']->runs);
    }

    public function test_chooses_profile_and_diffuser_and_reports_too_much_heat(): void
    {
        $plan = Demo::with(self::plan('4.00 line', ', profile'), [
            'kind' => 'SetMaking',
            'run' => 'line',
            'profile' => 'profile-corner',
            'diffuser' => 'diffuser-satin',
        ]);
        self::assertSame(
            ['profile-corner', 'diffuser-satin'],
            [self::parts($plan)['profile-corner']->key, self::parts($plan)['diffuser-satin']->key],
        );
        // Two lengths of two metres at 7.90 a metre.
        self::assertSame(
            [2.0, 31.6],
            [self::parts($plan)['profile-corner']->buy, self::parts($plan)['profile-corner']->cost()],
        );
        // RGBW makes 19.2 W/m, which no profile on the shelf takes.
        $hot = Demo::with(self::plan('4.00 line', ', profile', 'dry', 'strip-rgbw-24'));
        $finding = array_values(
            array_filter(
                (new AssemblyFindings())->check(JudgedJob::for(new JobState($hot, [], Demo::shelf(), []))),
                static fn(Finding $f): bool => $f->code === 'profile-heat',
            ),
        )[0];
        self::assertSame([19.2, 15.0, []], [round((float) $finding->number, 6), $finding->limit, $finding->fixes]);
        // Limited to three quarters it makes 14.4 W/m: the flat one takes it.
        $capped = Demo::with($hot, ['kind' => 'SetCap', 'run' => 'line', 'cap' => 0.75, 'checked' => true]);
        self::assertSame(
            [],
            array_filter(
                (new AssemblyFindings())->check(JudgedJob::for(new JobState($capped, [], Demo::shelf(), []))),
                static fn(Finding $f): bool => $f->code === 'profile-heat',
            ),
        );
        foreach (
            [
                ['profile' => 'diffuser-opal'],
                ['profile' => 'nothing'],
                ['strip' => 'always'],
                ['seal' => 'tar'],
                ['run' => 'nowhere'],
            ]
            as $bad
        ) {
            try {
                Demo::with($plan, $bad + ['kind' => 'SetMaking', 'run' => 'line']);
                self::fail((string) json_encode($bad));
            } catch (Refusal $refusal) {
                self::assertSame('/' . array_key_first($bad), $refusal->pointer);
            }
        }
    }

    public function test_how_a_run_is_made_up_goes_with_the_run_and_through_the_file(): void
    {
        $plan = Demo::with(self::plan('4.00 line', ', profile'), [
            'kind' => 'SetMaking',
            'run' => 'line',
            'strip' => 'never',
            'profile' => 'profile-corner',
            'cut' => 'after',
        ]);
        self::assertEquals(
            new Assembly(id: 'line', strip: 'never', length: 'needed', profile: 'profile-corner', cut: 'after'),
            $plan->makings['line'],
        );
        self::assertEquals($plan, JobFile::read(JobFile::write($plan)));
        self::assertArrayHasKey('profile-corner', $plan->kit);
        $dropped = Demo::with($plan, ['kind' => 'DropRun', 'run' => 'line']);
        self::assertSame([[], false], [$dropped->makings, isset($dropped->kit['profile-corner'])]);
        $document = json_decode(JobFile::write($plan), true);
        self::assertIsArray($document);
        foreach (
            [
                '/makings/0/id' => ['id' => 'nowhere'],
                '/makings/0/profile' => ['profile' => 'strip-single-24'],
                '/makings/0/strip' => ['strip' => 'always'],
            ]
            as $pointer => $bad
        ) {
            $faulty = $document;
            $faulty['makings'][0] = $bad + $faulty['makings'][0];
            try {
                JobFile::read((string) json_encode($faulty));
                self::fail($pointer);
            } catch (Refusal $refusal) {
                self::assertSame($pointer, $refusal->pointer);
            }
        }
    }
}
