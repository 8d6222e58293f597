<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Planner;

use EmberDusk\Costing\Basis;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Planner\Planner;
use EmberDusk\Planner\Proposal;
use EmberDusk\Planner\Wish;
use EmberDusk\Planner\WishChoice;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\InvalidInput;
use PHPUnit\Framework\TestCase;

/** “Why not this”: a choice that a person asks for is kept to, planned again, and priced. */
final class WishTest extends TestCase
{
    private const SHELF = [
        'cable-2x15',
        'cable-2x25',
        'controller-zigbee-1',
        'supply-24-100',
        'supply-24-240',
        'fuse-10',
        'fuse-15',
    ];

    private const FEEDS = ['feeds 1', 'feeds 2', 'feeds 3', 'feeds 4', 'feeds 5', 'feeds 6'];

    /**
     * @param  array<string, float>  $metres  by run
     * @param  array<string, float>  $limits
     */
    private static function room(array $metres, array $limits = []): Plan
    {
        $walls = implode(
            "\n",
            array_map(
                static fn(string $run, float $m): string => "{$m} {$run}",
                array_keys($metres),
                array_values($metres),
            ),
        );

        return Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            [
                'kind' => 'ReviseNotes',
                'place' => 'room',
                'text' => "start end\noutlet P1 on line at 0.20\nbox B1 on line at 1.50\n{$walls}",
            ],
            [
                'kind' => 'SetLimits',
                ...[
                    'drop' => 0.05,
                    'headroom' => 0.2,
                    'evenness' => 0.9,
                    'seam' => 0.05,
                    'cableCelsius' => 40,
                    ...$limits,
                ],
            ],
            ...array_map(
                static fn(string $run): array => ['kind' => 'ChooseKit', 'run' => $run, 'kit' => 'strip-single-24'],
                array_keys($metres),
            ),
        );
    }

    /** @param  list<string>  $shelf */
    private static function proposed(Plan $plan, ?string $wish = null, array $shelf = self::SHELF): Proposal
    {
        return Planner::propose(
            $plan,
            array_keys($plan->runs),
            new Basis(new FewOnShelf($shelf)),
            wish: $wish === null ? null : Wish::read($wish),
            waysOut: $wish === null,
        );
    }

    /** The same as planning from a shelf that has nothing else of that kind, which knows of no wish. */
    public function test_a_wish_for_kit_costs_what_a_shelf_with_only_that_kit_costs(): void
    {
        $plan = self::room(['line' => 4.0, 'shelf' => 3.0]);
        $best = self::proposed($plan);
        foreach (
            [
                'cable 2.5 mm²' => ['cable-2x15'],
                'cable 1.5 mm²' => ['cable-2x25'],
                'supply supply-24-240' => ['supply-24-100'],
            ]
            as $wish => $gone
        ) {
            $wished = self::proposed($plan, $wish);
            self::assertTrue($wished->whole(), $wish);
            self::assertSame(
                self::proposed($plan, null, array_values(array_diff(self::SHELF, $gone)))->cost(),
                $wished->cost(),
                $wish,
            );
            self::assertGreaterThanOrEqual($best->cost(), $wished->cost(), $wish);
        }
    }

    public function test_a_wish_for_a_board_is_offered_and_kept_to(): void
    {
        $plan = Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            [
                'kind' => 'ReviseNotes',
                'place' => 'room',
                'text' => "start hatch\ndry\n1.80 line\noutlet P1 at 0.30\nbox B1 locker at 0.90, 40x30x12, vented",
            ],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'pixels-12-rgb'],
        );
        $shelf = ['cable-2x15', 'supply-12-60', 'fuse-5', 'board-screw', 'board-signals', 'board-trial'];
        $best = self::proposed($plan, null, $shelf);
        $offered = array_map(static fn(WishChoice $c): string => $c->key, $best->answer()->wishes);
        // A trial board is for the bench, and is no choice.
        self::assertSame(
            ['board board-screw', 'board board-signals'],
            array_values(array_filter($offered, static fn(string $k): bool => str_starts_with($k, 'board '))),
        );
        $costs = [];
        foreach (['board-screw' => 'board-signals', 'board-signals' => 'board-screw'] as $wish => $gone) {
            $wished = self::proposed($plan, "board {$wish}", $shelf);
            $made = $wished->built($wished->parts);
            self::assertSame($wish, $made->controllers[$made->run('line')->controller ?? '']->kit);
            self::assertSame(
                self::proposed($plan, null, array_values(array_diff($shelf, [$gone])))->cost(),
                $wished->cost(),
            );
            $costs[] = $wished->cost();
        }
        self::assertNotSame($costs[0], $costs[1]);
        self::assertSame($best->cost(), min($costs));
        // A strip that needs no board gets no such choice.
        foreach (
            self::proposed(self::room(['line' => 4.0]), null, [...self::SHELF, ...$shelf])->answer()->wishes
            as $one
        ) {
            self::assertStringStartsNotWith('board ', $one->key);
        }
    }

    public function test_a_wish_for_a_place_or_one_supply_is_kept_to(): void
    {
        $plan = self::room(['line' => 4.0, 'shelf' => 3.0]);
        foreach (['P1', 'B1'] as $place) {
            $made = self::proposed($plan, "place {$place}");
            $built = $made->built($made->parts);
            self::assertNotSame([], $built->controllers);
            foreach ($built->controllers as $controller) {
                self::assertSame($place, $controller->stands?->spot);
            }
        }
        // 72 W and 60 W with headroom: a supply of 100 W each is the best there is without the large one, which carries both.
        $far = self::room(['line' => 7.5, 'shelf' => 6.0]);
        $one = self::proposed($far, 'one-supply');
        self::assertCount(1, $one->parts);
        self::assertCount(1, $one->built($one->parts)->supplies);
    }

    public function test_a_wish_that_cannot_hold_names_its_own_limit(): void
    {
        $plan = self::room(['line' => 9.0]);
        $small = self::proposed($plan, 'supply supply-24-100');
        self::assertFalse($small->whole());
        self::assertSame(['the supply’s headroom'], $small->clashes[0]->row()->limits);
        foreach (['colour red', 'feeds 7', 'feeds few'] as $strange) {
            try {
                Wish::read($strange);
                self::fail($strange);
            } catch (InvalidInput $e) {
                self::assertStringContainsString($strange, $e->getMessage());
            }
        }
    }

    public function test_choices_are_those_of_the_shelf_and_the_room(): void
    {
        $plan = self::room(['line' => 4.0]);
        self::assertSame(
            [
                'cable 1.5 mm²',
                'cable 2.5 mm²',
                'controller controller-zigbee-1',
                ...self::FEEDS,
                'place B1',
                'place P1',
                'supply supply-24-100',
                'supply supply-24-240',
            ],
            self::keys(self::proposed($plan)),
        );
        self::assertSame([], self::keys(self::proposed($plan, 'place B1')));
        // What is not to be changed is not offered either.
        $made = self::proposed($plan);
        $kept = Planner::propose($made->built($made->parts), ['line'], new Basis(new FewOnShelf(self::SHELF)), [
            'kit',
            'cables',
        ]);
        self::assertSame(self::FEEDS, self::keys($kept));
        $all = ['kit', 'cables', 'feeds'];
        $pinned = Planner::propose($made->built($made->parts), ['line'], new Basis(new FewOnShelf(self::SHELF)), $all);
        self::assertSame([], self::keys($pinned));
    }

    /** @return list<string> of the choices that can be asked for */
    private static function keys(Proposal $proposal): array
    {
        $keys = array_map(static fn(WishChoice $c): string => $c->key, $proposal->answer()->wishes);
        sort($keys);

        return $keys;
    }

    /** After each way out of a clash the planner finds a wiring, at the stated price or less. */
    public function test_every_way_out_of_a_clash_leads_out(): void
    {
        $shelf = ['cable-2x15', 'supply-24-100', 'controller-zigbee-1', 'fuse-15'];
        foreach (
            [
                // Too even to be held; too long for the largest supply.
                [self::room(['line' => 1.6], ['evenness' => 0.9999]), ['Set the limit of evenness to 0.99']],
                [self::room(['line' => 9.0]), ['Split Line into 2 parts']],
            ]
            as [$plan, $labels]
        ) {
            $clash = self::proposed($plan, null, $shelf)->clashes[0]->row();
            self::assertSame([], array_diff($labels, array_column($clash->write()['ways'], 'label')));
            foreach ($clash->ways as $way) {
                $made = Demo::with($plan, $way->change);
                $then = self::proposed($made, null, $shelf);
                self::assertTrue($then->whole(), $way->label);
                self::assertLessThanOrEqual($way->cost->value + 0.01, $then->cost() / 10_000, $way->label);
            }
        }
    }
}
