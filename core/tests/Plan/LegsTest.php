<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Plan;

use EmberDusk\Parts\Part;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Changes\Wires\PlaceDevice;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\ExistingLegs;
use EmberDusk\Plan\Routes\LegChain;
use EmberDusk\Plan\Standing;
use EmberDusk\Rates\Productivity;
use EmberDusk\Rates\Work;
use EmberDusk\Schedule\Step;
use EmberDusk\Schedule\Steps;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

/** Existing cable: used from end to end as it is; its leads are new. Calculated by hand. */
final class LegsTest extends TestCase
{
    private const ROOM =
        "start door\ndry\n4.00 line\nbox B0 at 1.00 up 2.40\noutlet P1 at 3.00\nright 3.00 line\n" .
        "box B1 at 2.00 up 2.40, 40x30x12, vented, hand\nright 4.00\nright 3.00\nclose\n" .
        'run line, profile, up 2.40';

    private static function plan(string $legs): Plan
    {
        return Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => self::ROOM . "\n{$legs}"],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'strip-single-24'],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'supply-24-100'],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'controller-zigbee-1'],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'cable-2x15'],
        );
    }

    private static function used(Plan $plan, string $leg = 'A'): Plan
    {
        return Demo::with($plan, ['kind' => 'UseLeg', 'run' => 'line', 'leg' => $leg, 'drop' => 'cable-2x15']);
    }

    public function test_uses_a_leg_unchanged(): void
    {
        $plan = self::used(self::plan('leg A B0 to B1 2x2.5 3.20, wall, traced'));
        $cables = [];
        foreach ($plan->cables as $cable) {
            $cables[$cable->to] = $cable;
        }
        // No one knows where the controller stands: a metre to the first end. The leg is 3.20 m and in place.
        self::assertSame(['c1', 1.0, false], [$cables['j1']->from, $cables['j1']->length, $cables['j1']->existing]);
        self::assertSame(
            ['j1', 'cable-2x25', 3.2, true, false, 'wall'],
            [
                $cables['j2']->from,
                $cables['j2']->kit,
                $cables['j2']->length,
                $cables['j2']->existing,
                $cables['j2']->reckoned,
                $cables['j2']->laid,
            ],
        );
        self::assertSame(
            ['end of leg A at B0', 'end of leg A at B1'],
            [$plan->splices['j1']->where, $plan->splices['j2']->where],
        );
        // The run passes both ends: 1.00 m and 6.00 m along it, drops of 0.30 m to work with.
        $feeds = $plan->ways()->feedsOf($plan->run('line'));
        $marks = $plan->of($plan->run('line'))->cutMarks();
        self::assertEqualsWithDelta(
            [1.0, 6.0],
            array_map(static fn($f): float => (float) $marks?->position($f->pad), $feeds),
            0.026,
        );
        self::assertSame([0.3, 0.3], array_map(static fn($f): float => $cables[$f->id]->length, $feeds));
    }

    /** Neither bought nor laid twice: the parts and the steps know the lead and the drops alone. */
    public function test_nothing_is_bought_or_laid_twice(): void
    {
        $plan = self::used(self::plan('leg A B0 to B1 2x2.5 3.20, wall, traced'));
        $list = PartsList::for($plan, Demo::shelf());
        self::assertSame([], array_filter($list->parts, static fn(Part $p): bool => $p->key === 'cable-2x25'));
        $steps = array_values(
            array_filter(
                Steps::for($plan, $list, Productivity::from([])),
                static fn(Step $s): bool => $s->kind === Work::Cables,
            ),
        );
        $trunk = $plan->ways()->cableTo('c1');
        self::assertEqualsWithDelta(1.0 + 0.3 + 0.3 + ($trunk->length ?? 0.0), $steps[0]->units, 1e-9);
    }

    public function test_the_nearer_end_is_fed(): void
    {
        // From 2.50 m of the second wall it is 0.50 m to B1 and 5.50 m to B0.
        $plan = Demo::with(
            self::plan('leg A B0 to B1 2x2.5 3.20, wall, traced'),
            PlaceDevice::payload('c1', new Standing('room', wall: 1, at: 2.5, up: 2.0))->write(),
        );
        $plan = self::used($plan);
        self::assertSame('end of leg A at B1', $plan->splices['j1']->where);
        self::assertEqualsWithDelta(0.5 + 0.4 + 0.3, $plan->ways()->cableTo('j1')->length ?? 0.0, 1e-9);
    }

    public function test_an_unmeasured_leg_has_its_route_length(): void
    {
        $plan = self::used(self::plan('leg A B0 to B1 2x2.5, wall'));
        // 3.00 m to the corner and 2.00 m of the second wall, 0.30 m to work with.
        self::assertSame([5.3, true], [$plan->ways()->cableTo('j2')?->length, $plan->ways()->cableTo('j2')?->reckoned]);
    }

    public function test_it_is_offered_only_where_it_can_carry(): void
    {
        $of = static function (string $legs): array {
            $plan = self::plan($legs);

            return array_keys(ExistingLegs::for($plan, $plan->run('line'), Demo::shelf()));
        };
        self::assertSame(['A'], $of('leg A B0 to B1 2x2.5 3.20'));
        self::assertSame(['A'], $of('leg A door to B1 2x2.5'), 'the start has a name too');
        self::assertSame([], $of('leg A B0 to ? 2x2.5'), 'nobody knows where it ends');
        self::assertSame([], $of('leg A B0 to attic 2x2.5'), 'the attic is not in the notes');
        self::assertSame([], $of('leg A B0 to B0 2x2.5'), 'both ends at one place');
        self::assertSame([], $of('leg A P1 to B1 2x2.5'), 'it brings mains from an outlet');
        $rgb = Demo::with(self::plan('leg A B0 to B1 2x2.5'), [
            'kind' => 'ChooseKit',
            'run' => 'line',
            'kit' => 'strip-rgb-24',
        ]);
        self::assertSame([], ExistingLegs::for($rgb, $rgb->run('line'), Demo::shelf()), 'too few cores');
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage('both its ends must be known');
        self::used(self::plan('leg A B0 to ? 2x2.5'));
    }

    /** Three legs from box to box, written in any order: one trunk, with both sections tapped where two legs meet. */
    public function test_legs_that_meet_are_one_trunk(): void
    {
        $notes =
            "start door\ndry\n6.00 line, gap 0.20 at 1.90 beam, gap 0.20 at 3.90 beam\noutlet P1 at 0.1\n" .
            "box B0 at 0.10 up 2.40\nbox B1 at 2.00 up 2.40\nbox B2 at 4.00 up 2.40\nbox B3 at 5.90 up 2.40\n" .
            "run line, profile, up 2.40\nleg C B2 to B3 2x2.5 2.10, wall\nleg A b1 to B0 2x2.5 2.00\nleg B B1 to B2 2x1.5 2.20";
        $plan = Demo::with(self::plan(''), ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => $notes]);
        $legs = ExistingLegs::for($plan, $plan->run('line'), Demo::shelf());
        self::assertSame([['C', 'B', 'A']], LegChain::names($legs));
        $use = ['kind' => 'UseLeg', 'run' => 'line', 'leg' => 'C', 'then' => ['B', 'A'], 'drop' => 'cable-2x15'];
        $plan = Demo::with($plan, $use);
        $existing = array_filter($plan->cables, static fn(LaidCable $c): bool => $c->existing);
        self::assertSame(['C' => 2.1, 'B' => 2.2, 'A' => 2.0], array_column($existing, 'length', 'leg'));
        $marks = $plan->of($plan->run('line'))->cutMarks();
        $at = array_map(
            static fn($f): float => (float) $marks?->position($f->pad),
            $plan->ways()->feedsOf($plan->run('line')),
        );
        // Sections of 1.90, 1.80 and 1.90 m of strip: a tap near each end, and two at each beam.
        self::assertEqualsWithDelta([0.1, 1.9, 1.9, 3.7, 3.7, 5.5], $at, 0.06);
        self::assertCount(6, array_unique(array_column($plan->ways()->feedsOf($plan->run('line')), 'pad')));
        // A fork is no chain, and legs in another order do not meet.
        $forked = Demo::with($plan, [
            'kind' => 'ReviseNotes',
            'place' => 'room',
            'text' => $notes . "\nbox B4 at 5.00\nleg D B2 to B4 2x1.5 1.0",
        ]);
        self::assertSame(
            [['A', 'B']],
            array_map(static function (array $names): array {
                sort($names);

                return $names;
            }, LegChain::names(ExistingLegs::for($forked, $forked->run('line'), Demo::shelf()))),
        );
        $this->expectExceptionMessage('do not meet');
        Demo::with($plan, ['then' => ['A', 'B']] + $use);
    }

    public function test_splices_never_have_the_name_of_an_outlet(): void
    {
        $plan = self::plan('leg A B0 to B1 2x2.5');
        $plan = Demo::with($plan, [
            'kind' => 'ReviseNotes',
            'place' => 'room',
            'text' => str_replace('outlet P1', "outlet J1 at 0.50\noutlet P1", $plan->places['room']->notes),
        ]);
        self::assertSame(['j2', 'j3'], array_keys(self::used($plan)->splices));
    }
}
