<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Control;

use EmberDusk\Control\Priorities;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Trigger;
use EmberDusk\Tests\Circuits;
use PHPUnit\Framework\TestCase;

/** Which of several that are on immediately wins: a vehicle's wires beside a push-button. */
final class PrioritiesTest extends TestCase
{
    /** @param  list<Trigger>  $triggers */
    private static function plan(array $triggers): Plan
    {
        return Circuits::in()
            ->supply('s1')
            ->controller('c1')
            ->controller('c2')
            ->run('r1', 1.0, [], 's1', controller: 'c1')
            ->run('r2', 1.0, [], 's1', controller: 'c2')
            ->scene('stop', ['c1' => [1.0], 'c2' => [1.0]])
            ->scene('turn', ['c1' => [0.5]])
            ->scene('glow', ['c1' => [0.1], 'c2' => [0.1]])
            ->plan()
            ->with(triggers: array_combine(array_map(static fn(Trigger $t): string => $t->id, $triggers), $triggers));
    }

    /** @return list<string> such as "brake left: c1 stop, c2 stop" */
    private static function table(Plan $plan): array
    {
        $lines = [];
        foreach ((new Priorities($plan))->table() as $row) {
            $wins = [];
            foreach ($row['wins'] as $light => $by) {
                $wins[] = "{$light} " . implode('/', array_map(static fn(Trigger $t): string => $t->plays, $by));
            }
            $lines[] =
                implode(' ', array_map(static fn(Trigger $t): string => $t->by, $row['on'])) .
                ': ' .
                implode(', ', $wins);
        }

        return $lines;
    }

    public function test_the_truth_table_of_three_inputs(): void
    {
        $plan = self::plan([
            new Trigger('t1', 'brake', plays: 'stop', priority: 1),
            new Trigger('t2', 'left', plays: 'turn', priority: 2),
            new Trigger('t3', 'key', plays: 'glow', priority: 3),
            new Trigger('t4', Trigger::CLOCK, plays: 'glow'),
        ]);
        self::assertSame(
            [
                'brake: c1 stop, c2 stop',
                'left: c1 turn',
                'brake left: c1 stop, c2 stop',
                'key: c1 glow, c2 glow',
                'brake key: c1 stop, c2 stop',
                'left key: c1 turn, c2 glow',
                'brake left key: c1 stop, c2 stop',
            ],
            self::table($plan),
        );
        self::assertSame([], (new Priorities($plan))->fights());
    }

    public function test_two_with_the_same_number_fight_for_the_lights_that_both_want(): void
    {
        $plan = self::plan([
            new Trigger('t1', Trigger::PUSH, plays: 'stop', on: 'door', priority: 4),
            new Trigger('t2', Trigger::PRESENCE, plays: 'turn', on: 'stairs', priority: 4),
        ]);
        $fights = (new Priorities($plan))->fights();
        self::assertCount(1, $fights);
        self::assertSame(['t1', 't2', ['c1']], [$fights[0]->one->id, $fights[0]->other->id, $fights[0]->lights]);
        self::assertContains('push presence: c1 stop/turn, c2 stop', self::table($plan));
        // Both set the same light: no conflict.
        $same = self::plan([
            new Trigger('t1', Trigger::PUSH, plays: 'stop', priority: 4),
            new Trigger('t2', Trigger::PRESENCE, plays: 'stop', priority: 4),
        ]);
        self::assertSame([], (new Priorities($same))->fights());
        // Switching everything off affects every light.
        $out = self::plan([new Trigger('t1', 'key', plays: Trigger::NOTHING)]);
        self::assertSame(['c1', 'c2'], (new Priorities($out))->lights($out->triggers['t1']));
    }

    public function test_lists_more_than_four_inputs_alone_and_in_pairs(): void
    {
        $by = ['key', 'brake', 'left', 'right', Trigger::PUSH, Trigger::PRESENCE];
        $triggers = [];
        foreach ($by as $n => $one) {
            $triggers[] = new Trigger("t{$n}", $one, 'stop', priority: $n + 1);
        }
        self::assertCount(6 + 15, (new Priorities(self::plan($triggers)))->table());
        self::assertSame([], (new Priorities(self::plan([])))->table());
    }
}
