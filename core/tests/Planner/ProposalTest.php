<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Planner;

use EmberDusk\Checks\PlannerLimit;
use EmberDusk\Costing\Basis;
use EmberDusk\Costing\Costing;
use EmberDusk\Plan\Invariants;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\DataLead;
use EmberDusk\Planner\Aim;
use EmberDusk\Planner\Candidates;
use EmberDusk\Planner\Clash;
use EmberDusk\Planner\PlanExcerpt;
use EmberDusk\Planner\PlanJudge;
use EmberDusk\Planner\Planner;
use EmberDusk\Planner\PlannerProgress;
use EmberDusk\Planner\Proposal;
use EmberDusk\Planner\Tables;
use EmberDusk\Tests\Demo;
use EmberDusk\Tests\FortyRuns;
use EmberDusk\Tests\Responses;
use PHPUnit\Framework\TestCase;

/** Contents of a proposal: difference to the current layout, pins, conflicts, remaining runs, and jobs too large for exhaustive search. */
final class ProposalTest extends TestCase
{
    public function test_the_difference_to_the_current_layout_adds_up_and_its_repair_is_valid(): void
    {
        $plan = JobFile::read(Demo::file('observatory'));
        $proposal = Planner::propose($plan, ['cove'], Demo::basis());
        $shown = $proposal->write();
        Responses::check($shown, 'proposalAnswer');
        self::assertIsArray($shown['drawn']);
        $sum = array_sum(array_map(static fn(array $l): float => (float) $l['difference'], $shown['drawn']['lines']));
        self::assertEqualsWithDelta(-(float) $shown['drawn']['dearer'], $sum, 1e-6);
        self::assertNotSame([], $shown['drawn']['broken']);
        $mended = Demo::with($plan, $shown['drawn']['repair']['change']);
        self::assertTrue(self::holds($mended, 'cove'));
        // By hand: supply to controller two cores at two ends, controller to feed three at two ends.
        self::assertSame(4 + 6, Costing::moving($plan, Demo::basis(), ['cove'])->joints());
    }

    public function test_alternatives_are_no_worse_in_what_they_are_for(): void
    {
        $proposal = Planner::propose(JobFile::read(Demo::file('observatory')), ['cove'], Demo::basis());
        [$best] = $proposal->parts;
        self::assertLessThanOrEqual($best->joints, $proposal->alternatives['fewest joints'][0]->joints);
        self::assertLessThanOrEqual($best->boxes, $proposal->alternatives['fewest hidden boxes'][0]->boxes);
        self::assertGreaterThanOrEqual(
            $best->judged->evenness,
            $proposal->alternatives['most even'][0]->judged->evenness,
        );
        foreach ($proposal->alternatives as $parts) {
            self::assertTrue($parts[0]->judged->holds());
            self::assertGreaterThanOrEqual($best->cost, $parts[0]->cost);
        }
    }

    public function test_pinned_parts_stay(): void
    {
        $plan = Demo::with(
            Demo::plan(),
            ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends'],
            ['kind' => 'PinRun', 'run' => 'cove', 'pins' => ['feeds', 'kit']],
        );
        $proposal = Planner::propose(
            $plan,
            ['cove'],
            new Basis(new FewOnShelf(['cable-3x15', 'cable-3x25', 'cable-2x15', 'cable-2x25', 'fuse-10', 'fuse-15'])),
        );
        $made = $proposal->built($proposal->parts);
        self::assertSame($plan->feeds, $made->feeds);
        self::assertEquals([$plan->supplies, $plan->controllers], [$made->supplies, $made->controllers]);
        self::assertNotSame([], $proposal->clashes, 'both ends are not enough for 18 m');
        $free = Planner::propose($plan, ['cove'], Demo::basis(), ['cables']);
        self::assertSame(
            [],
            array_filter($free->built($free->parts)->cables, static fn($c): bool => $c->kit !== 'cable-3x15'),
        );
    }

    public function test_limits_that_clash_are_named_with_the_nearest(): void
    {
        $plan = Demo::with(
            Demo::run(
                metres: '9',
                strip: 'strip-single-24',
                supply: 'supply-24-240',
                controller: 'controller-zigbee-1',
                cable: 'cable-2x15',
            ),
            [
                'kind' => 'SetLimits',
                'drop' => 0.005,
                'headroom' => 0.2,
                'evenness' => 0.999,
                'seam' => 0.05,
                'cableCelsius' => 40,
            ],
        );
        $proposal = Planner::propose(
            $plan,
            ['line'],
            new Basis(new FewOnShelf(['cable-2x15', 'supply-24-240', 'controller-zigbee-1', 'fuse-15'])),
        );
        self::assertFalse($proposal->whole());
        $clash = $proposal->clashes[0];
        self::assertSame('line', $clash->runs[0]->id);
        self::assertTrue($clash->all);
        self::assertSame([PlannerLimit::Evenness], $clash->limits);
        self::assertNotNull($clash->nearest);
        self::assertNotSame([], $clash->nearest->judged->words());
        // A set that meets every broken set, and none smaller does.
        [$even, $drop, $cable] = [PlannerLimit::Evenness, PlannerLimit::Drop, PlannerLimit::Cable];
        self::assertSame([$even, $drop], Clash::fewest([[$even], [$drop], [$cable, $drop]]));
        self::assertSame([$drop], Clash::fewest([[$even, $drop], [$drop, $cable]]));
    }

    /** The bound is of all runs: beside the cost of some it would be a gap below nothing. */
    public function test_a_proposal_for_some_of_the_runs_has_no_gap(): void
    {
        $plan = Demo::with(JobFile::read(Demo::shipped('observatory')), [
            'kind' => 'SetLimits',
            'drop' => 0.005,
            'headroom' => 0.2,
            'evenness' => 0.9,
            'seam' => 0.05,
            'cableCelsius' => 40,
        ]);
        $proposal = Planner::propose($plan, ['rail', 'band', 'bench'], Demo::basis());
        self::assertFalse($proposal->whole());
        self::assertLessThan($proposal->bound, $proposal->cost());
        self::assertFalse($proposal->exact);
        self::assertNotNull($proposal->answer()->found);
        self::assertSame('', $proposal->answer()->gap);
    }

    public function test_runs_that_cannot_be_planned_are_left_with_a_reason(): void
    {
        $proposal = Planner::propose(JobFile::read(Demo::file('observatory')), ['band', 'cove'], Demo::basis());
        self::assertSame(['band' => 'has no strip yet'], $proposal->left);
        self::assertTrue($proposal->whole());
    }

    public function test_runs_of_one_light_stay_together(): void
    {
        $kit = static fn(string $run): array => array_map(
            static fn(string $k): array => ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $k],
            ['strip-single-24', 'supply-24-240', 'controller-zigbee-1', 'cable-2x15'],
        );
        $plan = Demo::with(
            new Plan('Test', '', places: ['room' => new \EmberDusk\Plan\Place('room', 'Room', '')]),
            ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => "start end\n3.00 line\n3.00 shelf\n3.00 rail"],
            ...$kit('line'),
            ...$kit('rail'),
            ...$kit('shelf'),
        );
        $plan = Demo::with(
            $plan,
            ['kind' => 'ShareKit', 'run' => 'rail', 'with' => 'c1'],
            ['kind' => 'NameLight', 'controller' => 'c1', 'name' => 'Row', 'room' => 'Room'],
        );
        $shelf = new FewOnShelf(['cable-2x15', 'controller-zigbee-1', 'supply-24-100', 'fuse-10', 'fuse-15']);
        $proposal = Planner::propose($plan, ['line', 'rail', 'shelf'], new Basis($shelf));
        $made = $proposal->built($proposal->parts);
        self::assertSame($made->run('line')->controller, $made->run('rail')->controller);
        self::assertSame('Row', $made->lights[(string) $made->run('line')->controller]->name);
    }

    public function test_a_proposal_has_each_run_beside_the_current_layout(): void
    {
        $plan = JobFile::read(Demo::shipped('observatory'));
        $found = Planner::propose($plan, ['cove'], Demo::basis())->answer()->found;
        self::assertNotNull($found);
        $cove = $found->runs[0];
        $made = Demo::with($plan, $found->take);
        $marks = $made->of($made->run('cove'))->marks();
        self::assertSame(
            array_map(static fn($f): float => $marks->position($f->pad), $made->ways()->feedsOf($made->run('cove'))),
            array_column($cove->feeds, 'at'),
        );
        self::assertSame([0.0], $cove->now);
        self::assertTrue($cove->moved);
        // The same cable, the same supply; a trunk of two cores instead of three.
        self::assertSame([null, null], [$cove->cable->was, $cove->source->was]);
        self::assertStringEndsWith('trunk 2 x 1.5 mm²', (string) $cove->controller?->words);
        self::assertStringEndsWith('trunk 3 x 1.5 mm²', (string) $cove->controller?->was);
        // Taken, it is the current layout: nothing differs any more.
        $again = Planner::propose($made, ['cove'], Demo::basis())->answer()->found?->runs[0];
        self::assertFalse($again?->moved);
        self::assertSame([null, null, null], [$again->cable->was, $again->controller?->was, $again->source->was]);
    }

    /** The board and its cable cost the same whichever way pixels are fed; the data wires of two halves are two. */
    public function test_pixels_are_compared_with_their_data_wires(): void
    {
        $plan = JobFile::read(Demo::shipped('observatory'));
        $tables = new Tables($plan, $plan->run('band')->place, Demo::basis());
        $seen = $apart = [];
        foreach (Candidates::for($tables, [$plan->run('band')], Aim::Cost) as $layout) {
            $feed = $layout->blocks[0]->feeds[0];
            if (isset($seen[$feed->pattern])) {
                continue;
            }
            $made = $layout->built($plan, $tables, Demo::shelf());
            $runs = Proposal::wired($made, $plan, 'band');
            $moving = Costing::moving($made, Demo::basis(), $runs);
            $leads = array_filter(array_map(static fn(string $r): ?DataLead => DataLead::separateTo($made, $r), $runs));
            $seen[$feed->pattern] = count($leads);
            $apart[] = [$moving->cost() - $layout->cost($tables), $moving->joints() - $layout->joints($tables)];
            if (count($seen) > 12 && isset($seen['halves'])) {
                break;
            }
        }
        self::assertSame([1, 2], [$seen['end'], $seen['halves']]);
        self::assertCount(1, array_unique($apart, SORT_REGULAR));
    }

    /** A run without a name between them, whose id comes first: it may join one of the two, and never joins them. */
    public function test_two_lights_never_share_a_controller(): void
    {
        $plan = Demo::with(new Plan('Test', '', places: ['room' => new \EmberDusk\Plan\Place('room', 'Room', '')]), [
            'kind' => 'ReviseNotes',
            'place' => 'room',
            'text' =>
                "start end\n1.00 a\n1.00 b\n1.00 c\noutlet P1 on a at 0.20\nbox B1 on a at 0.50, 60x40x20, vented",
        ]);
        foreach (['a' => '', 'b' => 'Shelf', 'c' => 'Desk'] as $run => $name) {
            foreach (['strip-single-24', 'supply-24-240', 'controller-zigbee-1', 'cable-2x15'] as $kit) {
                $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $kit]);
            }
            $controller = (string) $plan->run($run)->controller;
            if ($name !== '') {
                $plan = Demo::with($plan, [
                    'kind' => 'NameLight',
                    'controller' => $controller,
                    'name' => $name,
                    'room' => 'Room',
                ]);
            }
        }
        $shelf = new FewOnShelf(['cable-2x15', 'controller-zigbee-1', 'supply-24-100', 'fuse-10', 'fuse-15']);
        $proposal = Planner::propose($plan, ['a', 'b', 'c'], new Basis($shelf));
        $made = $proposal->built($proposal->parts);
        self::assertCount(2, array_unique(array_map(static fn($r): ?string => $r->controller, $made->runs)));
        self::assertNotSame($made->run('b')->controller, $made->run('c')->controller);
        self::assertSame('Shelf', $made->lights[(string) $made->run('b')->controller]->name);
        self::assertSame('Desk', $made->lights[(string) $made->run('c')->controller]->name);
    }

    /** Ten runs in two rooms are too many for every partition: the result is valid, the bound is below it, and sharing saves. */
    public function test_many_runs_are_joined_as_long_as_that_saves(): void
    {
        /** @var Plan $plan */
        $plan = FortyRuns::plan(Demo::shelf(), 5, 2);
        $proposal = Planner::propose($plan, array_keys($plan->runs), Demo::basis());
        self::assertTrue($proposal->whole());
        self::assertFalse($proposal->exact);
        self::assertLessThan($proposal->cost(), $proposal->bound);
        $made = $proposal->built($proposal->parts);
        Invariants::check($made);
        $apart = 0;
        foreach (array_keys($plan->runs) as $run) {
            self::assertTrue(self::holds($made, $run), $run);
            $apart += Planner::propose($plan, [$run], Demo::basis())->cost();
        }
        self::assertLessThan($apart, $proposal->cost());
        self::assertSame(
            $proposal->cost(),
            Costing::moving($made, Demo::basis(), Proposal::wired($made, $plan, ...array_keys($plan->runs)))->cost(),
        );
    }

    /** Stopped immediately, every run still gets something that holds. */
    public function test_a_stop_leaves_something_that_holds(): void
    {
        /** @var Plan $plan */
        $plan = FortyRuns::plan(Demo::shelf(), 2, 2);
        $proposal = Planner::propose(
            plan: $plan,
            runs: array_keys($plan->runs),
            basis: Demo::basis(),
            watch: new PlannerProgress(static fn(int $solved): bool => $solved >= 3),
        );
        self::assertTrue($proposal->stopped);
        $made = $proposal->built($proposal->parts);
        foreach (array_keys($plan->runs) as $run) {
            self::assertTrue(self::holds($made, $run), $run);
        }
        self::assertTrue($proposal->write()['stopped']);
    }

    private static function holds(Plan $plan, string $run): bool
    {
        $alone = PlanExcerpt::for(
            $plan,
            array_keys(array_filter($plan->runs, static fn($r): bool => $r->supply === $plan->run($run)->supply)),
        );

        return (new PlanJudge())->judge($alone, array_values($alone->runs))->holds();
    }
}
