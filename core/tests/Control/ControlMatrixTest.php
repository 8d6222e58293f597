<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Control;

use EmberDusk\Control\BoardExtras;
use EmberDusk\Control\BoardRow;
use EmberDusk\Control\Cell;
use EmberDusk\Control\ControlMatrix;
use EmberDusk\Formats\Fields;
use EmberDusk\Joining\ControlledLight;
use EmberDusk\Joining\Joinable;
use EmberDusk\Plan\Changes\Control\SetAnswer;
use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Scene;
use EmberDusk\Plan\Trigger;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\InvalidInput;
use PHPUnit\Framework\TestCase;

/** Lights down, controls across; its decisions are the planned joins. */
final class ControlMatrixTest extends TestCase
{
    /** So many lights in a room, a hub, and a remote of so many zones. */
    private static function house(int $lights, int $zones): Plan
    {
        $leaflet = static fn(string $id): array => (array) ((Demo::shelf()->find($id)->written ?? [])['profile'] ?? []);
        $circuit = Circuits::in()->supply('s1');
        for ($n = 1; $n <= $lights; $n++) {
            $circuit = $circuit
                ->controller("c{$n}", ['family' => 'zigbee', 'profile' => $leaflet('controller-zigbee-2')])
                ->run("r{$n}", 1.0, [], 's1', controller: "c{$n}");
        }

        return $circuit
            ->item(
                'i1',
                'remote',
                [
                    'speaks' => ['zigbee'],
                    'sets' => ['single'],
                    'zones' => $zones,
                    'profile' => $leaflet('remote-zigbee-4'),
                ],
                null,
            )
            ->plan();
    }

    /** @return array<string, int> zones by light of the planned joins */
    private static function joined(Plan $plan): array
    {
        return array_column(
            array_map(
                static fn(ControlledLight $w): array => [$w->light, $w->zone],
                Joinable::for($plan)->roster->wants,
            ),
            1,
            0,
        );
    }

    public function test_decisions_equal_the_planned_joins(): void
    {
        $plan = self::house(3, 4);
        self::assertSame(['c1' => 1, 'c2' => 2, 'c3' => 3], self::joined($plan));
        $plan = SetAnswer::read(self::fields('i1', 'c2', false), Demo::shelf())->apply($plan);
        self::assertSame(['c1' => 1, 'c3' => 2], self::joined($plan));
        $plan = SetAnswer::read(self::fields('i1', 'c3', true, 4), Demo::shelf())->apply($plan);
        self::assertSame(['c1' => 1, 'c3' => 4], self::joined($plan));
        $board = ControlMatrix::for($plan, ['r1 c1']);
        self::assertSame(
            [Cell::WORKS, Cell::OPEN, Cell::PLANNED],
            array_map(static fn(string $c): ?string => $board->cell('r1', $c)?->state, ['c1', 'c2', 'c3']),
        );
        self::assertSame(
            [false, true, true],
            [
                $board->cell('r1', 'c1')?->decided,
                $board->cell('r1', 'c2')?->decided,
                $board->cell('r1', 'c3')?->decided,
            ],
        );
        $plan = SetAnswer::read(self::fields('i1', 'c2', null), Demo::shelf())->apply($plan);
        self::assertSame(['c1' => 1, 'c2' => 2, 'c3' => 4], self::joined($plan));
        // Decisions about a unit are deleted with it.
        self::assertSame([], $plan->with(items: [])->answers);
    }

    /** Six lights on a remote of four zones: the two that have none are named, with whom they could share. */
    public function test_six_lights_on_four_zones_are_merged_as_proposed(): void
    {
        $plan = self::house(6, 4);
        $board = ControlMatrix::for($plan, []);
        self::assertSame(
            [Cell::PLANNED, Cell::PLANNED, Cell::PLANNED, Cell::PLANNED, Cell::CLASHES, Cell::CLASHES],
            array_map(static fn(int $n): ?string => $board->cell('r1', "c{$n}")?->state, range(1, 6)),
        );
        self::assertCount(1, Joinable::for($plan)->blocked);
        for ($n = 0; $n < 2; $n++) {
            $merge = ControlMatrix::for($plan, [])->merges()[0];
            foreach (['with', 'light'] as $of) {
                $plan = SetAnswer::read(
                    self::fields($merge['control']->item, $merge[$of]->item, true, $merge['zone']),
                    Demo::shelf(),
                )->apply($plan);
            }
        }
        self::assertSame([], Joinable::for($plan)->blocked);
        self::assertCount(6, self::joined($plan));
        self::assertSame([], ControlMatrix::for($plan, [])->merges());
    }

    public function test_what_a_control_cannot_work_says_why(): void
    {
        $plan = Demo::plan();
        $board = ControlMatrix::for($plan, []);
        self::assertSame(Cell::PLANNED, $board->cell('h1', 'c1')?->state);
        self::assertStringContainsString('by a hub or bridge only', (string) $board->cell('phone', 'c1')?->why);
        $this->expectException(InvalidInput::class);
        SetAnswer::read(self::fields('i9', 'c1', true), Demo::shelf())->apply($plan);
    }

    private static function fields(string $control, string $light, ?bool $wanted, int $zone = 0): Fields
    {
        return new Fields(SetAnswer::payload($control, $light, $wanted, $zone)->write());
    }

    /** Beside what joins: a button that plays a scene, a wire that nothing takes, fixtures on a module, segments of a band. */
    public function test_buttons_wires_fixtures_and_segments_have_their_cells(): void
    {
        $plan = self::house(2, 4)->with(
            scenes: ['e1' => new Scene('e1', 'Evening', levels: ['c1' => [1.0]])],
            triggers: [
                't1' => new Trigger('t1', 'brake', plays: 'e1'),
                't2' => new Trigger('t2', Trigger::CLOCK, plays: 'e1'),
            ],
        );
        $extras = BoardExtras::for($plan, ControlMatrix::for($plan, []));
        self::assertSame(
            ['t1'],
            array_map(static fn(Trigger $t): string => $t->id, $extras->starts),
            'a clock is no way of control',
        );
        $state = static fn(BoardExtras $of, string $control, string $light): string => array_values(
            array_filter($of->cells, static fn(Cell $c): bool => $c->control === $control && $c->light === $light),
        )[0]->state;
        self::assertSame(Cell::CANNOT, $state($extras, 't1', 'c1'), 'no controller has a wire for it');
        self::assertSame(Cell::OPEN, $state($extras, 't1', 'c2'), 'it plays no part in the scene');

        $demo = JobFile::read(Demo::shipped('observatory'));
        $board = ControlMatrix::for($demo, []);
        $rows = BoardExtras::for($demo, $board)->rows;
        self::assertSame([], $rows, 'fixtures under a module are lights of their own');
        self::assertSame(
            [Cell::PLANNED, Cell::PLANNED, Cell::CANNOT, Cell::PLANNED],
            array_map(static fn(array $of): ?string => $board->cell(...$of)?->state, [
                ['h1', 'm1'],
                ['phone', 'm2'],
                ['h1', 'm2'],
                ['a1', 'm1'],
            ]),
        );
        $bare = $demo->with(fixtures: ['x1' => new Fitting('x1', $demo->fixtures['x1']->kit, 'place4', 6, null)]);
        $dark = ControlMatrix::for($bare, []);
        self::assertSame(
            ['x1'],
            array_map(static fn(BoardRow $r): string => $r->id, BoardExtras::for($bare, $dark)->rows),
        );
        foreach ($dark->controls as $control) {
            self::assertSame(Cell::CANNOT, $state(BoardExtras::for($bare, $dark), $control->id, 'x1'));
        }
        $cut = $demo->with(runs: ['band' => $demo->run('band')->cut([30, 60])] + $demo->runs);
        $board = ControlMatrix::for($cut, []);
        $extras = BoardExtras::for($cut, $board);
        self::assertSame(
            ['segment 1 of 3', 'segment 2 of 3', 'segment 3 of 3'],
            array_values(
                array_filter(
                    array_map(static fn(BoardRow $r): string => $r->kind, $extras->rows),
                    static fn(string $k): bool => str_starts_with($k, 'segment'),
                ),
            ),
        );
        self::assertSame(
            $board->cell('phone', 'c6')?->state,
            $state($extras, 'phone', 'c6-2'),
            'the phone’s app has a word for it',
        );
    }
}
