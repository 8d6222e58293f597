<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\Flaw;
use EmberDusk\Joining\Guide\GuideSteps;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Order\Order;
use EmberDusk\Joining\Rehearsal;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\Unit;
use PHPUnit\Framework\TestCase;

/** Several remotes on the same lights without a hub: one network of all of them (joining notes, rule 3: several remotes may link to one controller). */
final class RemotesTest extends TestCase
{
    public function test_two_remotes_work_one_light(): void
    {
        $done = Rehearsal::run(self::roster(['c1' => 0.0], [['r1', 'c1', 1], ['r2', 'c1', 1]]), 1);
        self::assertSame(['r1 c1' => Observation::Expected, 'r2 c1' => Observation::Expected], $done->tried);
        self::assertSame([], $done->found);
    }

    /**
     * Two remotes with a light of their own and one in common, which is far away: the shortest walk begins two networks. Whichever is linked next has a
     * light or a remote of the network that was begun.
     */
    public function test_links_of_a_group_grow_one_network(): void
    {
        $wants = [['r1', 'c1', 1], ['r3', 'c3', 1], ['r1', 'c2', 2], ['r3', 'c2', 2]];
        foreach ([[0.0, 30.0, 3.0], [0.0, 9.0, 18.0]] as $at) {
            $roster = self::roster(['c1' => $at[0], 'c2' => $at[1], 'c3' => $at[2]], $wants);
            $known = [];
            foreach (Order::for($roster) as $task) {
                if ($task->what === Task::LINK) {
                    self::assertTrue(
                        $known === [] || isset($known[$task->device]) || isset($known[$task->other]),
                        "{$task->id()} goes on with the network",
                    );
                    $known[$task->device] = $known[$task->other] = true;
                }
            }
            self::assertCount(5, $known);
            self::assertTrue(Rehearsal::run($roster, 1)->works());
        }
    }

    /** A light that came from another network is reset before it is linked, with a hub or without. */
    public function test_lights_without_a_hub_are_reset_first(): void
    {
        $roster = self::roster(['c1' => 0.0], [['r1', 'c1', 1]]);
        $kinds = array_map(static fn(array $t): string => $t[1]->key(), Rehearsal::run($roster, 1)->trail);
        $reset = array_search('setup c1/reset', $kinds, true);
        self::assertIsInt($reset);
        self::assertGreaterThan($reset, array_search('link r1 c1/link', $kinds, true));
    }

    /** The second light stands somewhere in the same room: it has no power while the first is linked. */
    public function test_a_light_at_an_unknown_distance_has_no_power_meanwhile(): void
    {
        $lost = static fn(Unit $u): Unit => new Unit(
            id: $u->id,
            name: $u->name,
            role: $u->role,
            family: $u->family,
            way: $u->way,
            leaflet: $u->leaflet,
            place: $u->place,
            kind: $u->kind,
        );
        $far = Bench::zigbee('c2', 9.0);
        foreach ([[$far, []], [$lost($far), ['c2']]] as [$second, $off]) {
            $roster = Bench::roster([Bench::zigbee(), $second, Bench::remote()], [['r1', 'c1', 1], ['r1', 'c2', 2]]);
            $links = array_filter(Order::for($roster), static fn(Task $t): bool => $t->id() === 'link r1 c1');
            self::assertSame($off, (new GuideSteps($roster))->for(array_values($links)[0])[0]->off);
            self::assertTrue(Rehearsal::run($roster, 1)->works());
        }
    }

    public function test_a_remote_that_took_a_light_over_is_found(): void
    {
        $roster = self::roster(['c1' => 0.0], [['r1', 'c1', 1], ['r2', 'c1', 1]]);
        $second = array_values(
            array_filter(Order::for($roster), static fn(Task $t): bool => $t->what === Task::LINK),
        )[1];
        $done = Rehearsal::run($roster, 1, [new Flaw('took-over', $second->device)]);
        self::assertTrue($done->works());
        self::assertSame(["took-over@{$second->device}"], $done->found);
    }

    /**
     * @param  array<string, float>  $lights  metres along a wall
     * @param  list<array{string, string, int}>  $wants
     */
    private static function roster(array $lights, array $wants): Roster
    {
        $units = [];
        foreach ($lights as $id => $at) {
            $units[] = Bench::zigbee($id, $at)->used();
        }
        foreach (array_unique(array_column($wants, 0)) as $id) {
            $of = Bench::remote();
            $units[] = new Unit(
                id: $id,
                name: "Remote {$id}",
                role: Unit::REMOTE,
                family: $of->family,
                way: $of->way,
                leaflet: $of->leaflet,
                place: 'table',
                zones: 4,
            );
        }

        return Bench::roster($units, $wants);
    }
}
