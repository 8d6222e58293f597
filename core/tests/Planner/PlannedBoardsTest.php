<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Planner;

use EmberDusk\Checks\Controller\PixelBoards;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Costing\Basis;
use EmberDusk\Costing\Costing;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\Routes;
use EmberDusk\Planner\PlanJudge;
use EmberDusk\Planner\Planner;
use EmberDusk\Planner\Proposal;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Severity;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Pixels without a board: the planner adds boards, their places, their supply cables with fuses, and shares them. */
final class PlannedBoardsTest extends TestCase
{
    private const FEW = ['cable-2x075', 'cable-2x15', 'fuse-5', 'board-screw', 'board-signals', 'board-trial'];

    /** @param  array<string, string>  $strips  by run */
    private static function room(string $notes, array $strips): Plan
    {
        $plan = Demo::with(new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]), [
            'kind' => 'ReviseNotes',
            'place' => 'room',
            'text' => "start hatch\ndry\n{$notes}",
        ]);
        foreach ($strips as $run => $strip) {
            $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $strip]);
        }

        return $plan;
    }

    /** @return iterable<string, array{string, array<string, string>, list<string>, int}> notes, strips, supplies, boards */
    public static function rooms(): iterable
    {
        $box = 'box B1 locker at 0.90, 40x30x12, vented';
        yield 'one run' => ["1.80 line\noutlet P1 at 0.30\n{$box}", ['line' => 'pixels-12-rgb'], ['supply-12-60'], 1];
        yield 'two runs share one board' => [
            "1.80 line\noutlet P1 at 0.30\n{$box}\nright 1.40 shelf",
            ['line' => 'pixels-24-rgb', 'shelf' => 'pixels-24-rgb'],
            ['supply-24-100'],
            1,
        ];
        yield 'too far from each other for one board' => [
            "5.00 line\noutlet P1 at 0.30\n{$box}\nright 9.00\nright 2.00 shelf\nbox B2 case at 1.50, 40x30x12, vented",
            ['line' => 'pixels-24-rgb', 'shelf' => 'pixels-24-rgb'],
            ['supply-24-240'],
            2,
        ];
        yield 'three runs and a board with two outputs' => [
            "1.20 line\noutlet P1 at 0.30\nright 0.80 shelf\nright 0.60 desk",
            ['line' => 'pixels-24-rgb', 'shelf' => 'pixels-24-rgb', 'desk' => 'pixels-24-rgb'],
            ['supply-24-100'],
            2,
        ];
        yield 'straight on a bank' => [
            "1.50 line\nbattery E1 at 0.40, 1 of 12 V\n{$box}",
            ['line' => 'pixels-12-rgb'],
            ['battery-12'],
            1,
        ];
    }

    /**
     * @param  array<string, string>  $strips
     * @param  list<string>  $supplies
     */
    #[DataProvider('rooms')]
    public function test_nested_loops_find_no_cheaper_boards(
        string $notes,
        array $strips,
        array $supplies,
        int $boards,
    ): void {
        $plan = self::room($notes, $strips);
        $basis = new Basis(new FewOnShelf([...self::FEW, ...$supplies]));
        $proposal = Planner::propose($plan, array_keys($strips), $basis);
        self::assertTrue($proposal->whole() && $proposal->exact);
        $made = $proposal->built($proposal->parts);
        $wired = Proposal::wired($made, $plan, ...array_keys($strips));
        $cost = static fn(Plan $of): int => Costing::moving($of, $basis, $wired)->cost();
        self::assertSame($proposal->cost(), $cost($made), 'the price of the layout is that of the built plan');
        self::assertCount($boards, array_unique(array_map(static fn($r): ?string => $r->controller, $made->runs)));
        foreach (array_keys($made->controllers) as $board) {
            self::assertFalse($made->controller($board)?->pixels?->trial);
        }
        $warnings = self::warnings($made);
        self::assertSame([0, true], [$warnings, (new PlanJudge())->judge($made, array_values($made->runs))->holds()]);

        $supplies = $proposal->change($proposal->parts)?->write()['supplies'] ?? [];
        $tried = $cheaper = 0;
        foreach ($supplies as $n => $supply) {
            $runs = array_merge(
                ...array_map(static fn(array $b): array => array_column($b['runs'], 'run'), $supply['blocks']),
            );
            $at = $supply['where'] === '' ? $supply['bank']['spot'] : $supply['where'];
            foreach (self::sets($runs, self::choices($plan, $at)) as $set) {
                $other = Catalogue::make(
                    ChangePayload::given(
                        'WireRuns',
                        supplies: array_replace($supplies, [$n => ['boards' => $set] + $supply]),
                    ),
                    $basis->shelf,
                )->apply($plan);
                $tried++;
                if ($cost($other) < $cost($made)) {
                    $cheaper++;
                    self::assertTrue(
                        self::warnings($other) > 0 ||
                            !(new PlanJudge())->judge($other, array_values($other->runs))->holds(),
                        'a cheaper set of boards holds: ' . json_encode($set),
                    );
                }
            }
        }
        self::assertGreaterThan(7, $tried);
        self::assertGreaterThan(0, $cheaper, 'a set that is cheaper and does not hold was among them');
    }

    /** @return list<array<string, mixed>> every board at every place behind every cable and fuse */
    private static function choices(Plan $plan, string $supply): array
    {
        $routes = new Routes($plan, 'room');
        $all = [];
        foreach ($routes->places([], false) as $place) {
            foreach (['board-screw', 'board-signals'] as $board) {
                foreach (['cable-2x075', 'cable-2x15'] as $cable) {
                    foreach ([null, 'fuse-5'] as $fuse) {
                        $wire = ['kit' => $cable, 'length' => $routes->trunk($supply, $place), 'fuse' => $fuse];
                        $all[] = ['kit' => $board, 'where' => $place, 'wire' => $wire];
                    }
                }
            }
        }

        return $all;
    }

    /**
     * @param  list<string>  $runs
     * @param  list<array<string, mixed>>  $choices
     * @return iterable<list<array<string, mixed>>> boards for all of them
     */
    private static function sets(array $runs, array $choices): iterable
    {
        if ($runs === []) {
            yield [];

            return;
        }
        $first = array_shift($runs);
        for ($with = 0; $with < 2 ** count($runs); $with++) {
            $group = array_filter($runs, static fn(int $n): bool => (($with >> $n) & 1) === 1, ARRAY_FILTER_USE_KEY);
            foreach (self::sets(array_values(array_diff($runs, $group)), $choices) as $rest) {
                foreach ($choices as $choice) {
                    yield [['runs' => [$first, ...array_values($group)]] + $choice, ...$rest];
                }
            }
        }
    }

    /** Stops and warnings of the boards. */
    private static function warnings(Plan $plan): int
    {
        $findings = array_filter(
            (new PixelBoards())->check(JudgedJob::plan($plan, [])),
            static fn($f): bool => in_array($f->severity, [Severity::Stop, Severity::Watch], true),
        );

        return count($findings);
    }

    public function test_a_board_with_an_output_left_takes_another_run(): void
    {
        $plan = self::room("1.80 line\noutlet P1 at 0.30\nright 1.40 shelf", [
            'line' => 'pixels-24-rgb',
            'shelf' => 'pixels-24-rgb',
        ]);
        $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => 'shelf', 'kit' => 'board-screw']);
        $basis = new Basis(new FewOnShelf([...self::FEW, 'supply-24-100', 'supply-24-60']));
        $proposal = Planner::propose($plan, ['line', 'shelf'], $basis);
        $made = $proposal->built($proposal->parts);
        self::assertCount(1, $made->controllers);
        self::assertSame($made->run('shelf')->controller, $made->run('line')->controller);
        self::assertStringContainsString('Line on a free output of C1', $proposal->answer()->found->parts[0] ?? '');
        // Alone it gets a separate board: the other may be on another supply.
        $alone = Planner::propose($plan, ['line'], $basis);
        self::assertCount(2, $alone->built($alone->parts)->controllers);
    }

    /** Two runs want the one output that is left: one of them gets it, the other a new board, or none where the shelf has none. */
    public function test_an_output_that_is_left_is_given_once(): void
    {
        $plan = self::room("1.80 line\noutlet P1 at 0.30\nright 1.40 shelf\nright 1.00 desk", [
            'line' => 'pixels-24-rgb',
            'shelf' => 'pixels-24-rgb',
            'desk' => 'pixels-24-rgb',
        ]);
        $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => 'desk', 'kit' => 'board-screw']);
        $few = ['cable-2x15', 'fuse-5', 'supply-24-100', 'supply-24-150'];
        foreach ([['board-screw'], []] as $more) {
            $proposal = Planner::propose(
                $plan,
                ['line', 'shelf', 'desk'],
                new Basis(new FewOnShelf([...$few, ...$more])),
            );
            $made = $proposal->built($proposal->parts);
            self::assertTrue($proposal->whole());
            self::assertCount($more === [] ? 1 : 2, $made->controllers);
            self::assertCount(1, $made->supplies);
            $bare = array_filter($made->runs, static fn($r): bool => $r->controller === null);
            self::assertSame([$more === [] ? 1 : 0, count($bare)], [count($bare), self::warnings($made)]);
        }
    }

    /** Pixels beside a strip of channels, whose controller is no board for them. */
    public function test_a_controller_of_channels_is_no_board(): void
    {
        $plan = self::room("1.80 line\noutlet P1 at 0.30\nright 1.40 shelf", [
            'line' => 'pixels-24-rgb',
            'shelf' => 'strip-single-24',
        ]);
        $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => 'shelf', 'kit' => 'controller-zigbee-1']);
        $few = ['cable-2x15', 'fuse-5', 'supply-24-100', 'controller-zigbee-1'];
        foreach ([[null, []], ['board-screw', ['board-screw']]] as [$board, $more]) {
            $proposal = Planner::propose($plan, ['line', 'shelf'], new Basis(new FewOnShelf([...$few, ...$more])));
            $made = $proposal->built($proposal->parts);
            self::assertTrue($proposal->whole());
            self::assertSame($board, $made->controllers[$made->run('line')->controller ?? '']->kit ?? null);
        }
    }

    /** Nothing on the shelf drives them: the wiring is planned all the same, and the open point stays. */
    public function test_without_a_fitting_board_the_point_stays(): void
    {
        $plan = self::room("1.80 line\noutlet P1 at 0.30", ['line' => 'pixels-24-rgb']);
        foreach ([['supply-24-100'], ['supply-24-100', 'board-trial', 'board-signals']] as $more) {
            $proposal = Planner::propose($plan, ['line'], new Basis(new FewOnShelf(['cable-2x15', ...$more])));
            $made = $proposal->built($proposal->parts);
            self::assertTrue($proposal->whole());
            self::assertNull($made->run('line')->controller);
            self::assertContains('Line: no pixel board', $proposal->answer()->stays);
        }
    }

    /** No box is near enough for the data: the board is proposed, and its warning is shown before it is taken. */
    public function test_a_lead_that_is_too_long_everywhere_is_said(): void
    {
        $plan = self::room("2.00\noutlet P1 at 0.30\nright 7.00\nright 1.40 shelf", ['shelf' => 'pixels-24-rgb']);
        $basis = new Basis(new FewOnShelf([...self::FEW, 'supply-24-100']));
        $proposal = Planner::propose($plan, ['shelf'], $basis);
        self::assertNotNull($proposal->built($proposal->parts)->run('shelf')->controller);
        $stays = implode(' ', $proposal->answer()->stays);
        self::assertStringContainsString('of data lead, at most 5 m', $stays);
    }

    /** A drawn wiring without a board costs less, and is not finished. */
    public function test_a_drawn_wiring_without_a_board_is_not_kept(): void
    {
        $plan = self::room("1.80 line\noutlet P1 at 0.30", ['line' => 'pixels-24-rgb']);
        $basis = new Basis(new FewOnShelf([...self::FEW, 'supply-24-100']));
        $first = Planner::propose($plan, ['line'], $basis);
        $change = $first->change($first->parts)?->write() ?? [];
        unset($change['supplies'][0]['boards']);
        $drawn = Demo::with($plan, $change);
        $answer = Planner::propose($drawn, ['line'], $basis)->answer();
        self::assertSame([false, ['Line: no pixel board']], [$answer->drawn?->keep, $answer->drawn?->broken]);
        $whole = $first->built($first->parts);
        self::assertTrue(Planner::propose($whole, ['line'], $basis)->answer()->drawn?->keep);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> board, pointer of the refusal */
    public static function bad(): iterable
    {
        $wire = ['kit' => 'cable-2x15', 'length' => 1.0, 'fuse' => null];
        yield 'a controller of channels' => [
            ['kit' => 'controller-zigbee-1', 'where' => '', 'runs' => ['line'], 'wire' => $wire],
            '/supplies/0/boards/0/kit',
        ];
        yield 'a unit that is not there' => [['unit' => 'c9', 'runs' => ['line']], '/supplies/0/boards/0/unit'];
        yield 'no runs' => [
            ['kit' => 'board-screw', 'where' => '', 'runs' => [], 'wire' => $wire],
            '/supplies/0/boards/0/runs',
        ];
        yield 'a run of another supply' => [
            ['kit' => 'board-screw', 'where' => '', 'runs' => ['shelf'], 'wire' => $wire],
            '/supplies/0/boards/0/runs',
        ];
    }

    /** @param  array<string, mixed>  $board */
    #[DataProvider('bad')]
    public function test_refuses_a_board_that_cannot_be(array $board, string $pointer): void
    {
        $plan = self::room("1.80 line\noutlet P1 at 0.30\nright 1.40 shelf", [
            'line' => 'pixels-24-rgb',
            'shelf' => 'pixels-24-rgb',
        ]);
        $change = [
            'kind' => 'WireRuns',
            'supplies' => [
                [
                    'kit' => 'supply-24-100',
                    'where' => 'P1',
                    'blocks' => [
                        [
                            'kit' => null,
                            'where' => 'P1',
                            'runs' => [
                                [
                                    'run' => 'line',
                                    'halves' => false,
                                    'tails' => [['pad' => 0, 'kit' => 'cable-2x15', 'length' => 1.0, 'fuse' => null]],
                                ],
                            ],
                        ],
                    ],
                    'boards' => [$board],
                ],
            ],
        ];
        $good = ['kit' => 'board-screw', 'where' => 'P1', 'runs' => ['line']];
        $good['wire'] = ['kit' => 'cable-2x15', 'length' => 1.0, 'fuse' => null];
        $fine = $change;
        $fine['supplies'][0]['boards'] = [$good];
        $made = Demo::with($plan, $fine);
        self::assertSame('board-screw', $made->controllers[(string) $made->run('line')->controller]->kit);
        try {
            Demo::with($plan, $change);
            self::fail('It was taken.');
        } catch (InvalidInput $refused) {
            self::assertSame($pointer, $refused->pointer);
        }
    }
}
