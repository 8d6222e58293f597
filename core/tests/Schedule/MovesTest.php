<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Schedule;

use EmberDusk\Schedule\Arrangement;
use EmberDusk\Schedule\Move;
use EmberDusk\Schedule\Pin;
use EmberDusk\Schedule\RemainingWork;
use EmberDusk\Schedule\Slot;
use EmberDusk\Schedule\Tick;
use EmberDusk\Schedule\Visit;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Broken rules, cost and reservations of a move. */
final class MovesTest extends TestCase
{
    use WorkedSteps;

    public function test_a_moved_step_reserves_its_people(): void
    {
        $steps = [self::step('x', 60), self::step('y', 60), self::step('z', 25)];
        $remaining = self::remaining(steps: $steps, pins: ['y' => new Pin('y', '2026-11-30', 30)]);
        // z fits before it, x does not.
        self::assertSame(
            ['z' => ['2026-11-30', 0], 'y' => ['2026-11-30', 30], 'x' => ['2026-11-30', 90]],
            self::begins($remaining),
        );
        $two = self::remaining(
            steps: $steps,
            visits: [new Visit('2026-11-30', 0, 2)],
            pins: ['y' => new Pin('y', '2026-11-30', 30, 1)],
        );
        self::assertSame(
            [[0], ['2026-11-30', 0]],
            [
                array_values(array_filter($two->timetable->slots, static fn(Slot $s): bool => $s->step->id === 'x'))[0]
                    ->people,
                self::begins($two)['x'],
            ],
        );
        // One that cannot be ready in time comes as soon as it can.
        $late = self::remaining(
            steps: [self::step('x', 60), self::step('y', 60, ['x'])],
            pins: ['y' => new Pin('y', '2026-11-30', 30)],
        );
        self::assertSame(['x' => ['2026-11-30', 0], 'y' => ['2026-11-30', 60]], self::begins($late));
    }

    public function test_what_a_move_waits_for_goes_first(): void
    {
        $steps = [self::step('long', 300), self::step('a', 60), self::step('b', 60, ['a'])];
        self::assertSame(['2026-11-30', 0], self::begins(self::remaining($steps))['long']);
        $remaining = self::remaining(steps: $steps, pins: ['b' => new Pin('b', '2026-11-30', 60)]);
        self::assertSame(
            ['a' => ['2026-11-30', 0], 'b' => ['2026-11-30', 60], 'long' => ['2026-11-30', 120]],
            self::begins($remaining),
        );
    }

    /** @return iterable<string, array{Pin, string}> */
    public static function broken(): iterable
    {
        yield 'no day of work' => [
            new Pin('cover', '2026-12-05', 0),
            'Nobody works on Sat 5 Dec. Take a day of a visit, or plan a visit for it.',
        ];
        yield 'before what comes first' => [
            new Pin('seal', '2026-11-30', 30),
            '“Step stick” comes before it, and is done on Mon 30 Nov 09:00 at the soonest. Why stick.',
        ];
        yield 'still curing' => [
            new Pin('cover', '2026-12-01', 0),
            '“Step seal” has not cured then: it has on Tue 1 Dec 10:00 at the soonest.',
        ];
        yield 'a part that is not here' => [
            new Pin('late', '2026-11-30', 120),
            'A part that it needs comes on Wed 2 Dec.',
        ];
        yield 'two people' => [
            new Pin('heavy', '2026-11-30', 120),
            'It takes two people and one is there that day. Take a day with two, or add a person to that visit.',
        ];
        yield 'the end of the day' => [
            new Pin('other', '2026-11-30', 400),
            'It takes 120 minutes and would run past the end of the day. Start it at 14:00 at the latest.',
        ];
        yield 'somebody else is moved there' => [
            new Pin('other', '2026-12-01', 200),
            'No one is free then: another step was moved to that time. Move that one first.',
        ];
    }

    #[DataProvider('broken')]
    public function test_a_rule_that_a_move_breaks_is_named(Pin $pin, string $rule): void
    {
        $steps = [
            self::step('stick', 60),
            self::step(id: 'seal', minutes: 60, after: ['stick'], people: 1, wait: 1440),
            self::step('cover', 30, ['seal']),
            self::step(id: 'late', minutes: 30, people: 1, wait: 0, needs: ['strip']),
            self::step('heavy', 30, [], 2),
            self::step('other', 120),
            self::step('fixed', 60),
        ];
        $visits = [new Visit('2026-11-30', 2, 1), new Visit('2026-12-07', 0, 2)];
        $remaining = self::remaining(
            steps: $steps,
            visits: $visits,
            arrivals: ['strip' => '2026-12-02'],
            pins: ['fixed' => new Pin('fixed', '2026-12-01', 240)],
        );
        // The strip arrives on Wednesday, outside the visits: the next working day is Monday.
        $rule = str_replace('Wed 2 Dec', 'Mon 7 Dec', $rule);
        self::assertSame([$rule], Move::for($remaining, $pin)->broken);
    }

    public function test_a_move_that_breaks_nothing_costs_what_the_end_moves(): void
    {
        $remaining = self::remaining([self::step('a', 60), self::step('b', 60, ['a']), self::step('c', 60, ['b'])]);
        $move = Move::for($remaining, new Pin('b', '2026-12-01', 60));
        self::assertSame([], $move->broken);
        self::assertSame([180, 660], [$move->before->timetable->end(), $move->after->timetable->end()]);
        self::assertSame([0, 60], [$move->before->idle(), $move->after->idle()], 'on Tuesday an hour passes before it');
        self::assertSame([1, 2], [count($move->before->timetable->worked()), count($move->after->timetable->worked())]);
    }

    public function test_a_step_that_is_done_or_gone_is_not_moved(): void
    {
        $remaining = self::remaining([self::step('a', 60)], [], ['a' => new Tick('a', 10, '2026-11-30 09:00')]);
        foreach (['a' => 'That step is done', 'b' => 'has no such step any more'] as $step => $said) {
            try {
                Move::for($remaining, new Pin($step, '2026-12-01', 0));
                self::fail($step);
            } catch (Refusal $refusal) {
                self::assertStringContainsString($said, $refusal->getMessage());
            }
        }
    }

    public function test_waits_that_were_added_hold_and_those_to_nothing_do_not(): void
    {
        $steps = [self::step('a', 60), self::step('b', 60)];
        $remaining = RemainingWork::for(
            steps: $steps,
            arrangement: new Arrangement([], false, [], [['a', 'b'], ['a', 'gone'], ['gone', 'a']]),
            ticks: [],
            arrivals: [],
            now: '2026-11-30',
        );
        self::assertSame(['b' => ['2026-11-30', 0], 'a' => ['2026-11-30', 60]], self::begins($remaining));
        $this->expectExceptionMessage(
            'in a circle: “Step a”, then “Step b”, then “Step a”. Take one of the waits away.',
        );
        RemainingWork::for(
            steps: [self::step('a', 60, ['b']), self::step('b', 60), self::step('c', 5)],
            arrangement: new Arrangement([], false, [], [['b', 'a']]),
            ticks: [],
            arrivals: [],
            now: '2026-11-30',
        );
    }
}
