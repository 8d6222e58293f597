<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Plan;

use EmberDusk\Bench\PixelCount;
use EmberDusk\Checks\Controller\PixelBoards;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Job\JobState;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\BoardSetting;
use EmberDusk\Plan\BoardSettings;
use EmberDusk\Plan\Changes\Wires\DataChoices;
use EmberDusk\Plan\DataLine;
use EmberDusk\Plan\DataOutput;
use EmberDusk\Plan\DataPart;
use EmberDusk\Plan\Invariants;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\DataLead;
use EmberDusk\Plan\Routes\DataRoute;
use EmberDusk\Rates\Productivity;
use EmberDusk\Schedule\Step;
use EmberDusk\Schedule\Steps;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

/** Data lines of a pixel board: runs in order, from their ends, as branches; and the order with the least lead. */
final class DataLinesTest extends TestCase
{
    /** Against every order and direction of up to five runs, on 200 seeded sets of ends in a plane. */
    public function test_the_route_is_the_shortest_of_all_orders(): void
    {
        mt_srand(71);
        for ($case = 0; $case < 200; $case++) {
            [$first, $between] = self::leads(self::ends(2 + ($case % 4)));
            $least = INF;
            foreach (self::orders(range(0, intdiv(count($first), 2) - 1)) as $order) {
                $least = min($least, self::metres($first, $between, $order));
            }
            $found = DataRoute::order($first, $between);
            self::assertEqualsWithDelta($least, self::metres($first, $between, $found), 1e-9, "case {$case}");
        }
    }

    /** Against every order in which some runs keep their direction, on 200 seeded sets of ends, and on long rows beyond the exact search. */
    public function test_runs_that_must_not_turn_keep_their_direction(): void
    {
        mt_srand(72);
        for ($case = 0; $case < 200; $case++) {
            [$first, $between] = self::leads(self::ends(2 + ($case % 4)));
            $kept = [];
            for ($run = 0; $run < count($first) / 2; $run++) {
                if (mt_rand(0, 1) === 1) {
                    $kept[] = 2 * $run + mt_rand(0, 1);
                }
            }
            $least = INF;
            foreach (self::orders(range(0, intdiv(count($first), 2) - 1)) as $order) {
                if (array_intersect($order, $kept) === []) {
                    $least = min($least, self::metres($first, $between, $order));
                }
            }
            $found = DataRoute::order(...DataRoute::without($kept, $first, $between));
            self::assertSame([], array_intersect($found, $kept), "case {$case}");
            self::assertEqualsWithDelta($least, self::metres($first, $between, $found), 1e-9, "case {$case}");
        }
        [$first, $between] = self::leads(self::ends(14));
        $kept = range(1, 27, 2);
        self::assertSame([], array_intersect(DataRoute::order(...DataRoute::without($kept, $first, $between)), $kept));
    }

    /** A strip that is stuck: no choice turns it, nor a change that is sent. */
    public function test_a_fixed_direction_is_not_changed(): void
    {
        $plan = self::arranged([['runs' => ['east', 'south'], 'reversed' => ['south']]]);
        $fixed = Demo::with($plan, ['kind' => 'NoteRun', 'run' => 'south', 'word' => 'fixed', 'on' => true]);
        self::assertTrue($fixed->of($fixed->run('south'))->directed());
        self::assertStringEndsWith('run south, fixed', rtrim($fixed->places[$fixed->run('south')->place]->notes));
        self::assertContains('Data comes in at the start', self::labels(DataChoices::for($plan, $plan->run('south'))));
        self::assertNotContains(
            'Data comes in at the start',
            self::labels(DataChoices::for($fixed, $fixed->run('south'))),
        );
        $free = Demo::with($fixed, ['kind' => 'NoteRun', 'run' => 'south', 'word' => 'fixed', 'on' => false]);
        self::assertEquals($plan->lines, $free->lines);
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage('South must not turn: its direction is fixed. Allow it at Survey first.');
        Demo::with($fixed, [
            'kind' => 'ArrangeData',
            'board' => $plan->lines['d1']->board,
            'lines' => [['runs' => ['east', 'south']]],
        ]);
    }

    /** Twelve and thirty runs of 1 m, 0.2 m apart on one line from the board: the shortest way is one along the line, whatever their order in the plan. */
    public function test_many_runs_in_a_row_are_taken_one_after_the_other(): void
    {
        foreach ([12, 30] as $count) {
            $order = range(0, $count - 1);
            mt_srand($count);
            shuffle($order);
            $ends = array_map(static fn(int $n): array => [[1.2 * $n + 0.2, 0.0], [1.2 * $n + 1.2, 0.0]], $order);
            [$first, $between] = self::leads($ends);
            self::assertEqualsWithDelta(
                0.2 * $count,
                self::metres($first, $between, DataRoute::order($first, $between)),
                1e-9,
            );
        }
    }

    public function test_runs_follow_each_other_on_one_output(): void
    {
        $plan = self::arranged([['runs' => ['east', 'south'], 'reversed' => ['south']], ['runs' => ['north']]]);
        self::assertSame(
            [[1, ['east 1 60 0 ', 'south 1 120 60 back']], [2, ['north 1 120 0 ']], [3, ['west 1 60 0 ']]],
            self::outputs($plan),
        );
        self::assertSame(
            [
                'Output 1: 180 pixels, start 0, 3 colours, one data wire (East, then South from its end)',
                'Output 2: 120 pixels, start 180, 3 colours, one data wire (North)',
                'Output 3: 60 pixels, start 300, 3 colours, one data wire (West)',
            ],
            array_slice(self::settings($plan), 0, 3),
        );
        self::assertSame(
            'output 1, pixels 61 to 180, from the end of the run',
            DataOutput::ofRun($plan, $plan->run('south'))[0]->words('south'),
        );
        self::assertSame([120], PixelCount::sections($plan, $plan->run('south')));
    }

    /** Two branches of a splitter have one output, and the count of the longer one. */
    public function test_a_branch_shows_the_same_and_counts_once(): void
    {
        $plan = self::arranged([['runs' => ['west']], ['runs' => ['north'], 'mirrors' => 0]]);
        self::assertSame(
            [[1, ['west 1 60 0 ', 'north 1 120 0 ']], [2, ['east 1 60 0 ']], [3, ['south 1 120 0 ']]],
            self::outputs($plan),
        );
        self::assertSame(
            'Output 1: 120 pixels, start 0, 3 colours, one data wire (West; the same: North)',
            self::settings($plan)[0],
        );
    }

    public function test_lines_lose_runs_that_leave_their_board(): void
    {
        $plan = self::arranged([
            ['runs' => ['north', 'east'], 'reversed' => ['east']],
            ['runs' => ['south'], 'mirrors' => 0],
        ]);
        $without = Demo::with($plan, ['kind' => 'ShareKit', 'run' => 'east', 'with' => 'own controller']);
        self::assertSame([['north'], []], [$without->lines['d1']->runs, $without->lines['d1']->reversed]);
        self::assertSame('d1', $without->lines['d2']->mirrors);
        $bare = Demo::with($without, ['kind' => 'ChooseKit', 'run' => 'north', 'kit' => 'strip-single-24']);
        self::assertSame(['d2'], array_keys($bare->lines));
        self::assertNull($bare->lines['d2']->mirrors, 'what mirrored a line that is gone has an output of its own');
        Invariants::check($bare);
    }

    /** The room is 4 m by 3 m; by hand along its walls, with 0.3 m to work with at each lead. */
    public function test_leads_are_measured_from_end_to_end(): void
    {
        $plan = self::arranged([['runs' => ['north', 'east', 'west'], 'reversed' => ['west']]]);
        $leads = DataLead::of($plan, DataLine::on($plan, 'c1')[0]);
        self::assertSame([null, 'north', 'east'], array_map(static fn(DataLead $l): ?string => $l->from?->id, $leads));
        // From north's end 1 m to the corner and 1 m on to east; from east's end 1 + 4 + 1 m round to west's start, 1 m more to its end.
        self::assertEqualsWithDelta(1.0 + 1.0 + 0.3, $leads[1]->metres, 1e-9);
        self::assertEqualsWithDelta(1.0 + 4.0 + 2.0 + 0.3, $leads[2]->metres, 1e-9);
        $state = new JobState(plan: $plan, results: [], shelf: Demo::shelf());
        $titles = array_map(
            static fn(Finding $f): string => $f->title,
            (new PixelBoards())->check(JudgedJob::for($state)),
        );
        self::assertNotSame([], preg_grep('/^West: 7.30 m of data lead, at most 5 m/', $titles));
        self::assertSame([], preg_grep('/^East: .* of data lead/', $titles));
    }

    /** The box of the board is near the end of the strip; its feed with the data is at the start. */
    public function test_a_long_lead_is_fixed_by_data_from_the_other_end(): void
    {
        $plan = Demo::with(JobFile::read(Demo::shipped('observatory')), [
            'kind' => 'SetFeeds',
            'run' => 'band',
            'shares' => [0],
        ]);
        $lead = static fn(Plan $of): array => array_values(
            array_filter(
                (new PixelBoards())->check(JudgedJob::for(new JobState(plan: $of, results: [], shelf: Demo::shelf()))),
                static fn(Finding $f): bool => $f->code === 'data-lead',
            ),
        );
        self::assertSame('Band: 10.50 m of data lead, at most 5 m', $lead($plan)[0]->title);
        self::assertSame(['Data comes in at the end'], self::labels($lead($plan)[0]->fixes));
        $turned = Demo::with($plan, $lead($plan)[0]->fixes[0]->change);
        self::assertSame([], $lead($turned));
        // The box is 0.3 m from the end of the strip, and the lead has 0.3 m to work with.
        self::assertEqualsWithDelta(0.6, self::lead($turned, (string) $turned->run('band')->controller), 1e-9);
    }

    /** The cables come from the supply, so that data has wires of its own: two cores, lengths along the walls by hand, with 0.3 m to work with. */
    public function test_a_data_wire_is_bought_laid_and_joined(): void
    {
        $plan = self::arranged([['runs' => ['north', 'east', 'west'], 'reversed' => ['west']], ['runs' => ['south']]]);
        $wires = array_filter(
            PartsList::for($plan, Demo::shelf())->part('cable-2x075')->why,
            static fn(string $why): bool => str_starts_with($why, 'data from'),
            ARRAY_FILTER_USE_KEY,
        );
        // South's start is 1 + 2 + 3 m before the corner that the board is 0.1 m behind; 0.15 m of slack at each end.
        self::assertEqualsWithDelta(
            [
                'data from C1 to North, 1.20 m and slack' => 0.9 + 0.3 + 0.3,
                'data from C1 to South, 6.40 m and slack' => 6.1 + 0.3 + 0.3,
                'data from North to East, 2.30 m and slack' => 2.3 + 0.3,
                'data from East to West, 7.30 m and slack' => 7.3 + 0.3,
            ],
            $wires,
            1e-9,
        );
        $step = static fn(Plan $of, string $id): Step => array_column(
            Steps::for($of, PartsList::for($of, Demo::shelf()), new Productivity([])),
            null,
            'id',
        )[$id];
        self::assertSame('West: lay cables and the data wire, mark both ends', $step($plan, 'cables-west')->title);
        self::assertSame('South: lay cables and the data wire, mark both ends', $step($plan, 'cables-south')->title);
        self::assertContains('cable-2x075', $step($plan, 'cables-west')->needs);
        // Soldered at strips, 6 minutes a core; at the board the cores go into terminals, 3 minutes each.
        $soldered = array_filter(
            PartsList::for($plan, Demo::shelf())->part('connector-solder')->why,
            static fn(string $why): bool => str_starts_with($why, 'data from'),
            ARRAY_FILTER_USE_KEY,
        );
        self::assertEquals(
            [
                'data from C1 to North' => 2,
                'data from C1 to South' => 2,
                'data from North to East' => 4,
                'data from East to West' => 4,
            ],
            $soldered,
        );
        // Fed from the board the cable's third core brings the data: two cores less at strip and board, 2 x 6 + 2 x 3 minutes.
        $fed = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => 'south', 'kit' => 'cable-3x25']);
        $cored = Demo::with($fed, ['kind' => 'FeedFrom', 'run' => 'south', 'from' => 'c1']);
        self::assertSame('South: lay cables, mark both ends', $step($cored, 'cables-south')->title);
        self::assertSame(3.0, $step($fed, 'joints-south')->units - $step($cored, 'joints-south')->units);
    }

    /** A clock and a data wire need their return too: three cores. Where a place is not known, the list says what it lacks. */
    public function test_a_clocked_lead_has_three_cores_and_one_not_measured_is_named(): void
    {
        $plan = self::arranged([['runs' => ['north', 'east']]]);
        foreach (['north', 'east', 'south', 'west'] as $run) {
            $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => $run, 'kit' => 'pixels-12-clocked']);
        }
        $leads = DataLead::separate($plan);
        self::assertContains('east', array_map(static fn(DataLead $l): string => $l->to->id, $leads));
        self::assertSame(
            [3],
            array_values(array_unique(array_map(static fn(DataLead $l): int => $l->wires($plan), $leads))),
        );
        $written = json_decode(JobFile::write(self::arranged([['runs' => ['north']]])), true);
        self::assertIsArray($written);
        foreach (array_keys($written['controllers']) as $n) {
            $written['controllers'][$n]['stands'] = null;
        }
        self::assertContains(
            'Cable: data from C1 to North is not measured',
            PartsList::for(JobFile::read((string) json_encode($written)), Demo::shelf())->lacking,
        );
    }

    public function test_every_choice_does_what_its_button_says(): void
    {
        $plan = self::arranged([['runs' => ['north', 'west', 'east', 'south']]]);
        $choices = DataChoices::for($plan, $plan->run('west'));
        self::assertSame(
            ['Data comes in at the end', 'Data on an output of its own'],
            array_slice(self::labels($choices), 0, 2),
        );
        self::assertSame(
            1,
            preg_match('/^Data in the order with (.*) m of lead instead of (.*) m$/', self::labels($choices)[2], $said),
        );
        $best = Demo::with($plan, $choices[2]->change->write());
        self::assertSame(['north', 'east', 'south', 'west'], $best->lines['d1']->runs);
        self::assertSame($said[1] ?? '', sprintf('%.2f', self::lead($best)));
        self::assertSame($said[2] ?? '', sprintf('%.2f', self::lead($plan)));
        self::assertNotContains('Data in the order', self::labels(DataChoices::for($best, $best->run('west'))));
        $apart = Demo::with($plan, $choices[1]->change->write());
        self::assertSame(
            [['north', 'east', 'south'], ['west']],
            array_map(static fn(DataLine $l): array => $l->runs, DataLine::on($apart, 'c1')),
        );
        $all = DataChoices::for($apart, $apart->run('west'));
        self::assertSame(
            [
                'Data comes in at the end',
                'Data from South, behind its last pixel',
                'The same picture as North, by a splitter',
            ],
            self::labels($all),
        );
        $behind = Demo::with($apart, $all[1]->change->write());
        self::assertSame(['north', 'east', 'south', 'west'], $behind->lines['d1']->runs);
        $branch = Demo::with($apart, $all[2]->change->write());
        self::assertSame('d1', $branch->lines['d2']->mirrors);
        self::assertContains(
            'Data on an output of its own',
            self::labels(DataChoices::for($branch, $branch->run('west'))),
        );
        $back = Demo::with($plan, $choices[0]->change->write());
        self::assertContains('Data comes in at the start', self::labels(DataChoices::for($back, $back->run('west'))));
        self::assertSame([], DataChoices::for(Demo::plan(), Demo::plan()->run('cove')));
    }

    public function test_an_arrangement_that_cannot_be_is_refused_at_its_place(): void
    {
        $plan = self::room();
        $refused = static function (array $lines, string $board = 'c1') use ($plan): string {
            try {
                Demo::with($plan, ['kind' => 'ArrangeData', 'board' => $board, 'lines' => $lines]);
            } catch (Refusal $t) {
                return $t->pointer;
            }

            return 'accepted';
        };
        self::assertSame('/board', $refused([], 's1'));
        self::assertSame('/lines/1/runs/0', $refused([['runs' => ['east']], ['runs' => ['east']]]));
        self::assertSame('/run', $refused([['runs' => ['attic']]]));
        self::assertSame('/lines/0', $refused([['runs' => []]]));
        self::assertSame('/lines/0', $refused([['runs' => ['east'], 'reversed' => ['west']]]));
        self::assertSame('/lines/0', $refused([['runs' => ['east'], 'mirrors' => 0]]));
        self::assertSame(
            '/lines/2',
            $refused([
                ['runs' => ['east']],
                ['runs' => ['west'], 'mirrors' => 0],
                ['runs' => ['north'], 'mirrors' => 1],
            ]),
        );
        self::assertSame('accepted', $refused([]));
    }

    /** @param  list<array<string, mixed>>  $lines */
    private static function arranged(array $lines): Plan
    {
        return Demo::with(self::room(), ['kind' => 'ArrangeData', 'board' => 'c1', 'lines' => $lines]);
    }

    /** A run of pixels on each wall of a room of 4 m by 3 m, 1 m away from its corners, all on one board at the door. */
    private static function room(): Plan
    {
        $walls = [];
        foreach (['north' => 2.0, 'east' => 1.0, 'south' => 2.0, 'west' => 1.0] as $run => $metres) {
            $walls[] = ($walls === [] ? '1.00' : 'right 1.00') . "\n" . sprintf('%.2f %s', $metres, $run) . "\n1.00";
        }
        $plan = Demo::with(new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]), [
            'kind' => 'ReviseNotes',
            'place' => 'room',
            'text' => "start door\n" . implode("\n", $walls) . "\nclose",
        ]);
        foreach (['north', 'east', 'south', 'west'] as $run) {
            foreach (['pixels-5-rgb', 'supply-5-300', 'cable-3x25'] as $kit) {
                $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $kit]);
            }
            $plan =
                $run === 'north'
                    ? Demo::with($plan, ['kind' => 'ChooseKit', 'run' => $run, 'kit' => 'board-screw'])
                    : Demo::with($plan, ['kind' => 'ShareKit', 'run' => $run, 'with' => 'c1']);
        }

        return Demo::with($plan, [
            'kind' => 'PlaceDevice',
            'device' => 'c1',
            'stands' => ['place' => 'room', 'spot' => '', 'wall' => 0, 'at' => 0.1, 'up' => null],
        ]);
    }

    /** @return list<array{int, list<string>}> */
    private static function outputs(Plan $plan): array
    {
        return array_map(
            static fn(DataOutput $o): array => [
                $o->output,
                array_map(
                    static fn(DataPart $p): string => "{$p->run} {$p->first} {$p->pixels} {$p->start} " .
                        ($p->reversed ? 'back' : ''),
                    array_merge($o->parts, ...$o->branches),
                ),
            ],
            DataOutput::needed($plan, 'c1'),
        );
    }

    /** @return list<string> */
    private static function settings(Plan $plan): array
    {
        return array_map(
            static fn(BoardSetting $s): string => "{$s->words()} ({$s->why})",
            BoardSettings::for($plan, 'c1'),
        );
    }

    private static function lead(Plan $plan, string $board = 'c1'): float
    {
        return array_sum(
            array_map(
                static fn(DataLead $l): float => (float) $l->metres,
                DataLead::of($plan, DataLine::on($plan, $board)[0]),
            ),
        );
    }

    /**
     * @param  list<Fix>  $choices
     * @return list<string>
     */
    private static function labels(array $choices): array
    {
        return array_map(static fn(Fix $f): string => $f->label, $choices);
    }

    /** @return list<array{array{float, float}, array{float, float}}> start and end of each run, in metres */
    private static function ends(int $runs): array
    {
        $at = static fn(): float => mt_rand(0, 1000) / 100;

        return array_map(static fn(): array => [[$at(), $at()], [$at(), $at()]], range(1, $runs));
    }

    /**
     * Straight metres from the board at 0, 0 and from run to run.
     *
     * @param  list<array{array{float, float}, array{float, float}}>  $ends
     * @return array{list<float>, list<list<float>>}
     */
    private static function leads(array $ends): array
    {
        $in = array_merge(...$ends);
        $out = array_merge(...array_map(array_reverse(...), $ends));
        $far = static fn(array $a, array $b): float => hypot($a[0] - $b[0], $a[1] - $b[1]);

        return [
            array_map(static fn(array $b): float => $far([0.0, 0.0], $b), $in),
            array_map(static fn(array $a): array => array_map(static fn(array $b): float => $far($a, $b), $in), $out),
        ];
    }

    /**
     * @param  list<float>  $first
     * @param  list<list<float>>  $between
     * @param  list<int>  $order
     */
    private static function metres(array $first, array $between, array $order): float
    {
        $sum = $first[$order[0]];
        for ($n = 1; $n < count($order); $n++) {
            $sum += $between[$order[$n - 1]][$order[$n]];
        }

        return $sum;
    }

    /**
     * @param  list<int>  $runs
     * @return iterable<list<int>> every order of them, each run either way round
     */
    private static function orders(array $runs): iterable
    {
        if ($runs === []) {
            yield [];
        }
        foreach ($runs as $run) {
            foreach (self::orders(array_values(array_diff($runs, [$run]))) as $rest) {
                yield [2 * $run, ...$rest];
                yield [2 * $run + 1, ...$rest];
            }
        }
    }
}
