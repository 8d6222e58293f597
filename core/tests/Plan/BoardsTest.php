<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Plan;

use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Circuit\WiredRun;
use EmberDusk\Joining\RosterOfPlan;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Joining\Unit;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\BoardSetting;
use EmberDusk\Plan\BoardSettings;
use EmberDusk\Plan\DataLine;
use EmberDusk\Plan\DataOutput;
use EmberDusk\Plan\DataPart;
use EmberDusk\Plan\Invariants;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\DataLead;
use EmberDusk\Planner\Planner;
use EmberDusk\Rates\Productivity;
use EmberDusk\Schedule\Steps;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

/** Pixel boards in the chain from supply to pixels: chosen, wired, shared, fed past, solved, bought, fixed and joined. */
final class BoardsTest extends TestCase
{
    private const SCREW = ['inputLeast' => 5.0, 'inputMost' => 24.0, 'outputs' => 2, 'pixelsPerOutput' => 60];

    public function test_a_board_stands_between_the_supply_and_its_pixels(): void
    {
        $plan = self::chosen('2', 'pixels-5-rgb', 'supply-5-300', 'board-screw', 'cable-3x25');
        self::assertSame(['c1' => 's1', 'f1' => 'c1'], self::ways($plan));
        $parts = PartsList::for($plan, Demo::shelf());
        self::assertEqualsWithDelta(1.0, $parts->part('board-screw')->count, 1e-9);
        $titles = array_column(Steps::for($plan, $parts, Productivity::from([])), 'title');
        self::assertNotSame([], preg_grep('/C1: set its jumpers on the bench/', $titles));
        self::assertContains('Band: fix supply and pixel board', $titles);
        $roster = RosterOfPlan::for($plan, new TimingMethod());
        self::assertSame([Unit::BOARD, 'Band'], [$roster->unit('c1')->role, $roster->unit('c1')->name]);
    }

    /** 10 m of 60 pixels a metre take far more than the terminals carry: the cables to the pixels begin at the supply. */
    public function test_a_load_too_high_for_the_terminals_is_fed_from_the_supply(): void
    {
        $plan = self::chosen('10', 'pixels-5-rgb', 'supply-5-300', 'board-screw', 'cable-3x25');
        self::assertSame(['c1' => 's1', 'f1' => 's1'], self::ways($plan));
        $small = Demo::with($plan, ['kind' => 'SetCap', 'run' => 'band', 'cap' => 0.2]);
        $back = Demo::with($small, ['kind' => 'ChooseKit', 'run' => 'band', 'kit' => 'cable-3x25']);
        self::assertSame(['c1' => 's1', 'f1' => 'c1'], self::ways($back));
    }

    /** Cores of the feed's cable carry data only if there are enough: two poles and a data wire. */
    public function test_a_cable_of_two_cores_carries_no_data(): void
    {
        $words = static fn(Plan $plan): string => DataLead::words($plan, $plan->run('r1'));
        $plan = self::circuit('i1')->plan();
        self::assertStringContainsString('1.50 m from I1, in the feed’s cable', $words($plan));
        $thin = self::circuit('i1')->cable('k1', '2x2.5', 'i1', 'f1', metres: 1.5)->plan();
        self::assertStringContainsString('1.50 m of lead from I1', $words($thin));
    }

    public function test_the_start_of_the_feeds_is_chosen_by_hand(): void
    {
        $plan = self::chosen('2', 'pixels-5-rgb', 'supply-5-300', 'board-screw', 'cable-3x25');
        $past = Demo::with($plan, ['kind' => 'FeedFrom', 'run' => 'band', 'from' => 's1']);
        self::assertSame(['c1' => 's1', 'f1' => 's1'], self::ways($past));
        self::assertEquals($plan, Demo::with($past, ['kind' => 'FeedFrom', 'run' => 'band', 'from' => 'c1']));
        self::assertSame('/from', self::refused($plan, ['kind' => 'FeedFrom', 'run' => 'band', 'from' => 'c2']));
        $bare = $past->with(cables: ['k2' => $past->cables['k2']]);
        self::assertSame('/from', self::refused($bare, ['kind' => 'FeedFrom', 'run' => 'band', 'from' => 'c1']));
        $white = Demo::run('2', 'strip-single-24', 'supply-24-100', 'controller-zigbee-1', 'cable-2x15');
        self::assertSame('/run', self::refused($white, ['kind' => 'FeedFrom', 'run' => 'line', 'from' => 's1']));
    }

    public function test_a_strip_of_channels_takes_no_board_along_and_pixels_no_controller(): void
    {
        $plan = self::chosen('2', 'pixels-5-rgb', 'supply-5-300', 'board-screw', 'cable-3x25');
        $white = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => 'band', 'kit' => 'strip-single-24']);
        self::assertSame([null, []], [$white->run('band')->controller, $white->controllers]);
        $line = Demo::run('2', 'strip-single-24', 'supply-24-100', 'controller-zigbee-1', 'cable-3x15');
        $pixels = Demo::with($line, ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'pixels-24-rgb']);
        self::assertNull($pixels->run('line')->controller);
        self::assertSame(['f1' => 's1'], self::ways($pixels));
        $other = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => 'band', 'kit' => 'pixels-12-rgb']);
        self::assertSame('c1', $other->run('band')->controller);
    }

    /** Volts at the feed are those at the board less the current times both poles of terminals and cable. */
    public function test_a_board_passes_both_poles_on(): void
    {
        $of = static fn(string $from): Plan => self::circuit($from)->plan();
        $through = (new Engine($of('i1')))->solve($of('i1')->run('r1'));
        $past = (new Engine($of('s1')))->solve($of('s1')->run('r1'));
        // 80 pixels of 3 x 20 mA and 1 mA.
        $amps = 80 * 0.061;
        self::assertEqualsWithDelta($amps, $through->controllers['i1']->amps, 1e-6);
        self::assertEqualsWithDelta(0.0, $past->controllers['i1']->amps, 1e-6);
        // Own current of the board in its cable, in both cases.
        self::assertEqualsWithDelta($amps + 0.5, $through->cables['k2']->amps(), 1e-6);
        self::assertEqualsWithDelta(0.5, $past->cables['k2']->amps(), 1e-6);
        $plan = $of('i1');
        $lost = 2 * ($plan->ways()->core($plan->cables['k1']) + 0.01) * $amps;
        $lost += 2 * $plan->ways()->core($plan->cables['k2']) * ($amps + 0.5);
        self::assertEqualsWithDelta($lost, $through->supplyVolts - self::first($through), 1e-6);
    }

    public function test_a_board_without_a_supply_cable_leaves_pixels_that_the_supply_feeds_solved(): void
    {
        $past = self::circuit('s1')->plan();
        $past = $past->with(cables: ['k1' => $past->cables['k1']]);
        self::assertSame([], WiredRun::lacking($past, $past->run('r1')));
        self::assertSame([], (new Engine($past))->solve($past->run('r1'))->controllers);
        $through = self::circuit('i1')->plan();
        $through = $through->with(cables: ['k1' => $through->cables['k1']]);
        self::assertSame(['cables'], WiredRun::lacking($through, $through->run('r1')));
    }

    /** Each run begins at an output of its own; 80 pixels at 60 an output take two. */
    public function test_runs_of_a_board_take_outputs_in_the_order_of_the_plan(): void
    {
        $plan = self::circuit('i1')
            ->run('r2', 2.0, ['kind' => 'pixels'], 's1', controller: 'i1')
            ->plan();
        $said = static fn(Plan $plan): array => array_map(
            static fn(DataOutput $o): array => array_map(
                static fn(DataPart $p): array => [$o->output, $p->run, $p->first, $p->pixels, $p->start],
                $o->parts,
            ),
            DataOutput::needed($plan, 'i1'),
        );
        self::assertSame([[[1, 'r1', 1, 60, 0]], [[2, 'r1', 61, 20, 0]], [[3, 'r2', 1, 40, 0]]], $said($plan));
        self::assertSame([], DataOutput::needed($plan, 's1'));
        // On one line the second run goes on where the first ends.
        $line = $plan->with(lines: ['d1' => new DataLine('d1', 'i1', ['r1', 'r2'])]);
        self::assertSame([[[1, 'r1', 1, 60, 0]], [[2, 'r1', 61, 20, 0], [2, 'r2', 1, 40, 20]]], $said($line));
    }

    /** 1,000 times the least of what supply, terminals and the limits of the runs allow, rounded down to 50 mA. */
    public function test_the_numbers_to_enter_in_a_board_follow_from_the_plan(): void
    {
        $said = static fn(Plan $plan): array => array_map(
            static fn(BoardSetting $s): string => "{$s->words()} ({$s->why})",
            BoardSettings::for($plan, 'i1'),
        );
        $through = self::circuit('i1');
        // The terminals carry 10 A; 60 A of the supply with a headroom of a fifth and 0.5 A of the board's own are 47.5 A.
        self::assertSame(
            [
                'Output 1: 60 pixels, start 0, 3 colours, one data wire (R1)',
                'Output 2: 20 pixels, start 60, 3 colours, one data wire (R1 from pixel 61)',
                'Current limit: 10000 mA (what its terminals carry)',
            ],
            $said($through->plan()),
        );
        self::assertContains(
            'Current limit: 47500 mA (what S1 can give, with its headroom)',
            $said(self::circuit('s1')->plan()),
        );
        // Half of 80 pixels of 61 mA: 2.44 A.
        $half = $through->plan();
        $half = $half->with(runs: ['r1' => $half->run('r1')->capped(0.5, false)] + $half->runs);
        self::assertContains('Current limit: 2400 mA (the limit that the supply is sized for)', $said($half));
        $shared = self::circuit('s1')
            ->run('r2', 10.0, ['kind' => 'pixels'], 's1')
            ->feed('f2', 'r2', 0)
            ->cable('k3', '3x2.5', 's1', 'f2');
        self::assertContains(
            'Current limit: 35300 mA (what S1 can give, with its headroom)',
            $said($shared->plan()),
            '47.5 A less 200 pixels of 61 mA',
        );
        self::assertSame([], BoardSettings::for($through->plan(), 's1'));
    }

    public function test_pixel_runs_share_a_board_and_part_again(): void
    {
        $plan = self::chosen("2\n3 beam", 'pixels-5-rgb', 'supply-5-300', 'board-screw', 'cable-3x25');
        foreach (['pixels-5-rgb', 'supply-5-300', 'cable-3x25'] as $kit) {
            $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => 'beam', 'kit' => $kit]);
        }
        $shared = Demo::with($plan, ['kind' => 'ShareKit', 'run' => 'beam', 'with' => 'c1']);
        self::assertSame(['c1', 's1'], [$shared->run('beam')->controller, $shared->run('beam')->supply]);
        $own = Demo::with($shared, ['kind' => 'ShareKit', 'run' => 'beam', 'with' => 'own controller']);
        self::assertNotSame($own->run('band')->controller, $own->run('beam')->controller);
        $other = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => 'beam', 'kit' => 'strip-single-24']);
        self::assertSame('/with', self::refused($other, ['kind' => 'ShareKit', 'run' => 'beam', 'with' => 'c1']));
    }

    /** A proposal moves the pixels to another supply; their board stays, and its cable begins there. */
    public function test_a_proposal_keeps_the_board_and_its_cable(): void
    {
        $plan = self::chosen('3', 'pixels-12-rgb', 'supply-12-240', 'board-screw', 'cable-3x25');
        $proposal = Planner::propose($plan, ['band'], Demo::basis());
        self::assertNotSame([], $proposal->parts);
        $built = $proposal->built($proposal->parts);
        Invariants::check($built);
        self::assertSame(['c1'], array_keys($built->controllers));
        self::assertSame('c1', $built->run('band')->controller);
        self::assertSame($built->run('band')->supply, $built->ways()->cableTo('c1')?->from);
    }

    private static function circuit(string $from): Circuits
    {
        return Circuits::in()
            ->supply('s1', ['volts' => 5.0, 'ratedAmps' => 60.0])
            ->run('r1', 4.0, ['kind' => 'pixels'], 's1')
            ->board('i1', self::SCREW + ['totalAmps' => 10.0, 'standbyAmps' => 0.5], 'r1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', '3x2.5', $from, 'f1', metres: 1.5)
            ->cable('k2', '2x2.5', 's1', 'i1', metres: 0.4);
    }

    private static function chosen(string $metres, string ...$kit): Plan
    {
        return Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            [
                'kind' => 'ReviseNotes',
                'place' => 'room',
                'text' => "start end\n" . preg_replace('/\d+$|\d+(?=\n)/', '$0 band', $metres, 1),
            ],
            ...array_map(static fn(string $k): array => ['kind' => 'ChooseKit', 'run' => 'band', 'kit' => $k], $kit),
        );
    }

    /** @return array<string, string> start of each cable by its end */
    private static function ways(Plan $plan): array
    {
        $from = [];
        foreach ($plan->cables as $cable) {
            $from[$cable->to] = $cable->from;
        }
        ksort($from);

        return $from;
    }

    private static function first(RunResult $of): float
    {
        return $of->feeds['f1']->volts;
    }

    /** @param  array<string, mixed>  $change */
    private static function refused(Plan $plan, array $change): string
    {
        try {
            Demo::with($plan, $change);
        } catch (Refusal $t) {
            return $t->pointer;
        }

        return 'accepted';
    }
}
