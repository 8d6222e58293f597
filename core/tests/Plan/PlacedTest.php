<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Plan;

use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\Shelf;
use EmberDusk\Parts\Part;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\BoxRoom;
use EmberDusk\Plan\Changes\Wires\PlaceDevice;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\CableWay;
use EmberDusk\Plan\Routes\MainsWay;
use EmberDusk\Plan\Routes\Routes;
use EmberDusk\Plan\Standing;
use EmberDusk\Rates\Productivity;
use EmberDusk\Rates\Work;
use EmberDusk\Schedule\Step;
use EmberDusk\Schedule\Steps;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Units where they stand, and cables as long as their way along the walls. Worked by hand. */
final class PlacedTest extends TestCase
{
    /** A room of 4 by 3 m with a run along its first two walls, 2.40 m up; an outlet 0.30 m up, a box on the third wall. */
    private static function plan(string $run = 'line, profile, up 2.40'): Plan
    {
        return Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            [
                'kind' => 'ReviseNotes',
                'place' => 'room',
                'text' =>
                    "start door\ndry\n4.00 line\noutlet P1 at 1.00 up 0.30\nright 3.00 line\nright 4.00\n" .
                    "box B1 at 1.00 up 1.80, 40x30x12, vented, hand\nright 3.00\nclose\nrun {$run}",
            ],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'strip-single-24'],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'supply-24-100'],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'controller-zigbee-1'],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'cable-2x15'],
        );
    }

    private static function placed(Plan $plan, string $device, Standing $stands): Plan
    {
        return Demo::with($plan, PlaceDevice::payload($device, $stands)->write());
    }

    public function test_a_proposal_begins_at_a_unit_that_was_placed_by_hand(): void
    {
        $bare = self::plan()->with(cables: []);
        $plan = self::placed($bare, 's1', new Standing('room', 'P1'));
        $plan = self::placed($plan, 'c1', new Standing('room', wall: 1, at: 0.5, up: 2.0));
        $run = $plan->run('line');
        $routes = new Routes($plan, 'room');
        $now = Routes::NOW . 'line';
        self::assertContains($now, $routes->places([$run], false));
        // 0.50 m back along the second wall and 4.00 m along the first to the run's start; 0.40 m up; 0.30 m to work with.
        self::assertEqualsWithDelta(0.5 + 4.0 + 0.4 + 0.3, $routes->tail($now, $run, 0), 1e-9);
        // From P1, 3.00 m and 0.50 m; 1.70 m up.
        self::assertEqualsWithDelta(3.5 + 1.7 + 0.3, $routes->trunk($now, $now), 1e-9);
        // Not placed: a metre until measured.
        self::assertEqualsWithDelta(1.0, (new Routes($bare, 'room'))->tail($now, $bare->run('line'), 0), 1e-9);
    }

    public function test_cables_are_as_long_as_their_way(): void
    {
        $plan = self::plan();
        self::assertSame([1.0, 1.0], [$plan->cables['k1']->length, $plan->cables['k2']->length], 'nobody knows yet');
        $plan = self::placed($plan, 's1', new Standing('room', 'P1'));
        $plan = self::placed($plan, 'c1', new Standing('room', wall: 1, at: 0.5, up: 2.0));
        // From P1, 1.00 m along the first wall, 3.00 m to its end and 0.50 m of the second; 1.70 m up; 0.30 m to work with.
        self::assertEqualsWithDelta(3.0 + 0.5 + 1.7 + 0.3, $plan->cables['k1']->length, 1e-9);
        // The run begins at the door: 4.00 + 0.50 m back along the walls, 0.40 m up.
        self::assertEqualsWithDelta(4.5 + 0.4 + 0.3, $plan->cables['k2']->length, 1e-9);
        self::assertSame([true, true], [$plan->cables['k1']->reckoned, $plan->cables['k2']->reckoned]);
        $way = CableWay::between($plan, 's1', 'c1');
        self::assertSame([true, 3.5], [$way?->heights, round($way->along ?? 0.0, 6)]);
        self::assertEqualsWithDelta(1.7, $way->rise ?? 0.0, 1e-9);
    }

    /** The room is closed: from the box on the third wall it is shorter round the other way. */
    public function test_a_loop_leads_both_ways_round(): void
    {
        $plan = self::placed(self::plan(), 'c1', new Standing('room', 'B1'));
        // Third wall at 1.00 m: 8.00 m from the door one way, 3.00 + 3.00 m the other; 0.60 m up.
        self::assertEqualsWithDelta(6.0 + 0.6 + 0.3, $plan->cables['k2']->length, 1e-9);
    }

    public function test_measured_lengths_stay(): void
    {
        $plan = Demo::with(self::plan(), ['kind' => 'SetCable', 'cable' => 'k2', 'length' => 2.22]);
        $plan = self::placed($plan, 'c1', new Standing('room', 'B1'));
        self::assertSame([2.22, false], [$plan->cables['k2']->length, $plan->cables['k2']->reckoned]);
    }

    public function test_leaves_out_an_unknown_height(): void
    {
        $plan = self::placed(self::plan('line, profile'), 'c1', new Standing('room', wall: 0, at: 1.0, up: 2.0));
        $way = CableWay::between($plan, 'c1', $plan->cables['k2']->to);
        self::assertSame([false, 0.0], [$way?->heights, $way?->rise]);
        self::assertEqualsWithDelta(1.3, $plan->cables['k2']->length, 1e-9);
    }

    public function test_a_feed_that_moves_and_walls_that_grow_take_the_cable_along(): void
    {
        $plan = self::placed(self::plan(), 'c1', new Standing('room', wall: 0, at: 0.0, up: 2.4));
        self::assertEqualsWithDelta(0.3, $plan->cables['k2']->length, 1e-9);
        $moved = Demo::with($plan, ['kind' => 'MoveFeed', 'feed' => $plan->cables['k2']->to, 'at' => 2.0]);
        self::assertEqualsWithDelta(2.3, $moved->cables['k2']->length, 0.026, 'the mark nearest to two metres');
        $plan = self::placed($plan, 's1', new Standing('room', wall: 1, at: 0.0, up: 2.4));
        self::assertEqualsWithDelta(4.3, $plan->cables['k1']->length, 1e-9);
        $notes = str_replace('4.00 line', '4.50 line', $plan->places['room']->notes);
        $notes = str_replace('right 4.00', 'right 4.50', $notes);
        $grown = Demo::with($plan, ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => $notes]);
        self::assertEqualsWithDelta(4.8, $grown->cables['k1']->length, 1e-9);
    }

    public function test_another_model_keeps_the_position(): void
    {
        $plan = self::placed(self::plan(), 's1', new Standing('room', 'P1'));
        $plan = self::placed($plan, 'c1', new Standing('room', 'B1', up: 1.5));
        $plan = Demo::with(
            $plan,
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'supply-24-240'],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'controller-zigbee-2'],
            ['kind' => 'ChooseKit', 'run' => null, 'kit' => 'hub-zigbee'],
        );
        self::assertSame(['P1', 'B1, 1.50 m up'], [$plan->supplies['s1']->where(), $plan->controllers['c1']->where()]);
        $plan = self::placed($plan, 'h1', new Standing('room', wall: 2, at: 0.5));
        $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => null, 'kit' => 'hub-zigbee-short']);
        self::assertSame('wall 3 at 0.50 m', $plan->hubs['h1']->where());
        self::assertEquals($plan, JobFile::read(JobFile::write($plan)));
        self::assertSame('', Demo::with($plan, ['kind' => 'PlaceDevice', 'device' => 's1'])->supplies['s1']->where());
    }

    public function test_deleting_a_place_deletes_only_positions(): void
    {
        $plan = Demo::with(self::plan(), ['kind' => 'AddPlace', 'name' => 'Hall']);
        $hall = array_key_first(array_diff_key($plan->places, ['room' => true]));
        $plan = Demo::with($plan, [
            'kind' => 'ReviseNotes',
            'place' => $hall,
            'text' => "start door\n2.00\nbox B9 at 1",
        ]);
        $plan = self::placed($plan, 's1', new Standing((string) $hall, 'B9'));
        $gone = Demo::with($plan, ['kind' => 'RemovePlace', 'place' => $hall]);
        self::assertSame(['s1'], array_keys($gone->supplies));
        self::assertNull($gone->supplies['s1']->stands);
    }

    /** Mains is at an outlet and where a leg leads from one; elsewhere a cable goes to it, in the parts and with a step. */
    public function test_mains_comes_to_a_supply(): void
    {
        $at = static fn(Standing $where): Plan => self::placed(self::plan(), 's1', $where);
        $way = static fn(Plan $p): ?MainsWay => MainsWay::to($p, $p->supplies['s1']);
        self::assertTrue($way($at(new Standing('room', 'P1')))?->there);
        self::assertNull($way(self::plan()), 'nobody has said where it stands');
        // From P1, 3.00 m to the corner and 2.00 m of the second wall, 1.70 m up, 0.30 m to work with.
        $far = $at(new Standing('room', wall: 1, at: 2.0, up: 2.0));
        self::assertSame(['P1', 7.0, false], [$way($far)?->outlet, $way($far)?->metres, $way($far)?->there]);
        $why = array_merge(
            ...array_map(static fn(Part $p): array => array_keys($p->why), PartsList::for($far, Demo::shelf())->parts),
        );
        self::assertContains('S1: mains from P1, laid by a licensed person', $why);
        $steps = Steps::for($far, PartsList::for($far, Demo::shelf()), Productivity::from([]));
        $mains = array_values(array_filter($steps, static fn(Step $s): bool => $s->kind === Work::Mains));
        self::assertSame(['S1: mains from P1, 7.00 m of cable', ['supply-line']], [$mains[0]->title, $mains[0]->after]);
        self::assertStringContainsString('licensed person', $mains[0]->caution);
        $cables = array_values(array_filter($steps, static fn(Step $s): bool => $s->kind === Work::Cables));
        self::assertContains('mains-s1', $cables[0]->after);
        // A leg from the outlet to the box brings it there.
        $notes = self::plan()->places['room']->notes . "\nleg A P1 to B1 3x2.5 6.00, wall, traced";
        $led = Demo::with($at(new Standing('room', 'B1')), [
            'kind' => 'ReviseNotes',
            'place' => 'room',
            'text' => $notes,
        ]);
        self::assertTrue($way($led)?->there);
        self::assertFalse($way($at(new Standing('room', 'B1')))?->there);
    }

    /** A lead with a plug for a supply at an outlet; none at a spur, at a leg, in a box, or where the supply plugs in itself. */
    public function test_a_supply_at_an_outlet_has_a_lead_with_a_plug(): void
    {
        $leads = static fn(Plan $p): float => array_sum(
            array_map(
                static fn(Part $part): float => $part->key === 'consumable-mains-lead' ? $part->count : 0.0,
                PartsList::for($p, Demo::shelf())->parts,
            ),
        );
        $at = self::placed(self::plan(), 's1', new Standing('room', 'P1'));
        self::assertSame(1.0, $leads($at));
        $notes = $at->places['room']->notes;
        $spur = ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => str_replace('outlet P1', 'spur P1', $notes)];
        self::assertSame(0.0, $leads(Demo::with($at, $spur)));
        self::assertSame(0.0, $leads(self::placed(self::plan(), 's1', new Standing('room', 'B1'))));
        $kit = $at->kit[$at->supplies['s1']->kit];
        $plugged = ['plugIn' => true] + $kit->written;
        $own = new KitSnapshot('', $plugged, Shelf::check($plugged));
        self::assertSame(0.0, $leads($at->with(kit: [$kit->entry->id() => $own] + $at->kit)));
    }

    /** A box of 40 x 30 x 12 cm holds 14.4 litres. */
    public function test_a_box_knows_its_free_room(): void
    {
        $plan = self::placed(self::plan(), 's1', new Standing('room', 'B1'));
        $box = WallNotes::read($plan->places['room']->notes)->site->boxes[0];
        $room = BoxRoom::for($plan, 'room', $box);
        $entry = $plan->kit['supply-24-100']->written;
        self::assertSame(['s1'], array_keys($room->units));
        self::assertEqualsWithDelta(
            ($entry['width'] * $entry['height'] * $entry['depth']) / (0.4 * 0.3 * 0.12),
            $room->share(),
            1e-9,
        );
        $hub = Demo::shelf()->find('hub-zigbee');
        self::assertNotNull($hub);
        self::assertTrue($room->fits($hub));
        // A unit of unknown size in the same box: nothing is known of the rest.
        $written = array_diff_key($entry, ['depth' => 0]);
        $unsized = $plan->with(
            kit: ['supply-24-100' => new KitSnapshot('', $written, $plan->kit['supply-24-100']->entry)] + $plan->kit,
        );
        $filled = BoxRoom::for($unsized, 'room', $box);
        self::assertSame([null, false, 0.0], [$filled->fits($hub), $filled->allKnown(), $filled->share()]);
        $tight = Demo::with($plan, [
            'kind' => 'ReviseNotes',
            'place' => 'room',
            'text' => str_replace('40x30x12', '40x30x2', $plan->places['room']->notes),
        ]);
        $box = WallNotes::read($tight->places['room']->notes)->site->boxes[0];
        self::assertFalse(BoxRoom::for($tight, 'room', $box)->holds($plan->kit['supply-24-100']));
    }

    public function test_reads_the_height_of_a_spot_and_reports_an_error(): void
    {
        $sheet = WallNotes::read(
            "start door\n3.00\noutlet P1 dais at 1.20 up 0.30, circuit C2\nbox B1 at 2.00, vented",
        );
        self::assertSame([0.3, null], [$sheet->site->spot('P1')?->up, $sheet->site->spot('B1')?->up]);
        self::assertSame('dais', $sheet->site->spot('P1')?->where);
        $slips = WallNotes::read("start door\n3.00\noutlet P1 at 1.20 up, circuit C2")->slips;
        self::assertCount(1, $slips);
        self::assertStringContainsString('height', $slips[0]->message);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function faults(): iterable
    {
        yield 'no such unit' => [['device' => 's9', 'stands' => ['place' => 'room', 'spot' => 'P1']], 's9'];
        yield 'no such place' => [
            ['device' => 's1', 'stands' => ['place' => 'attic', 'spot' => 'P1']],
            'no such place',
        ];
        yield 'no such box' => [['device' => 's1', 'stands' => ['place' => 'room', 'spot' => 'B7']], 'box B7 at'];
        yield 'no such wall' => [
            ['device' => 's1', 'stands' => ['place' => 'room', 'wall' => 9, 'at' => 0]],
            'no wall 10',
        ];
        yield 'past the wall' => [
            ['device' => 's1', 'stands' => ['place' => 'room', 'wall' => 1, 'at' => 3.2]],
            '3.00 m long',
        ];
        yield 'nothing named' => [['device' => 's1', 'stands' => ['place' => 'room']], 'Choose an outlet or a box'];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('faults')]
    public function test_what_cannot_be_is_refused_with_what_to_do(array $change, string $said): void
    {
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage($said);
        Demo::with(self::plan(), ['kind' => 'PlaceDevice', ...$change]);
    }
}
