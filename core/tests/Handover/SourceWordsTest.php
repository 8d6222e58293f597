<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Handover;

use EmberDusk\Bench\Tests\TestCards;
use EmberDusk\Joining\EventWords;
use EmberDusk\Joining\Families;
use EmberDusk\Joining\Guide\Proofs;
use EmberDusk\Joining\Joinable;
use EmberDusk\Joining\Order\Order;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Source;
use EmberDusk\Rates\Productivity;
use EmberDusk\Schedule\Steps;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\TestCase;

/** Texts about power match the device's source: mains only on mains, a cell only on a cell. */
final class SourceWordsTest extends TestCase
{
    public function test_a_boat_on_batteries_never_says_mains(): void
    {
        $plan = JobFile::read(Demo::shipped('narrowboat'));
        self::assertSame([Source::Battery], $plan->power()->sources());
        $said = self::texts($plan);
        self::assertGreaterThan(100, count($said));
        self::assertSame(
            [],
            array_values(
                array_filter(
                    $said,
                    // Devices without mains have no mains caution.
                    static fn(string $t): bool => preg_match('/\bmains\b/i', $t) === 1 && !str_contains($t, 'no mains'),
                ),
            ),
        );
        self::assertNotSame([], preg_grep('/bank/', $said));
    }

    public function test_a_job_on_mains_says_who_may_touch_it(): void
    {
        $said = self::texts(JobFile::read(Demo::shipped('hide')));
        self::assertNotSame([], preg_grep('/licensed person/', $said));
    }

    public function test_a_panel_on_mains_needs_no_battery_and_one_with_a_cell_no_licensed_person(): void
    {
        $panel = static fn(bool $mains): array => self::joins(
            Circuits::in()
                ->bank('s1')
                ->controller('c1', [
                    'family' => 'zigbee',
                    'profile' => Demo::shelf()->find('controller-zigbee-2')->written['profile'] ?? [],
                ])
                ->run('r1', 2.0, ['volts' => 12.0], 's1', controller: 'c1')
                ->item('i1', 'panel', ['mains' => $mains] + (Demo::shelf()->find('panel-zigbee')->written ?? []), null)
                ->plan(),
        );
        self::assertSame([], preg_grep('/battery is flat|new battery/', $panel(true)));
        self::assertNotSame([], preg_grep('/licensed person/', $panel(true)));
        self::assertNotSame([], preg_grep('/new battery/', $panel(false)));
        self::assertSame([], preg_grep('/licensed person/', $panel(false)));
    }

    /** Jumpers of a board and the pins of a plug are in their steps. */
    public function test_a_board_and_a_plug_say_what_their_instructions_say(): void
    {
        $plan = Circuits::simple()
            ->board(
                'i1',
                ['jumpers' => 'volts: 5 V; data pin: 4'] + (Demo::shelf()->find('board-screw')->written ?? []),
                'r1',
            )
            ->item('i2', 'plug', ['pins' => 2, 'amps' => 6.0, 'seal' => 'none', 'order' => '+ inside'], 'k1')
            ->plan();
        $said = self::texts($plan);
        self::assertNotSame([], preg_grep('/Jumpers: volts: 5 V; data pin: 4\./', $said));
        self::assertNotSame([], preg_grep('/Pins: \+ inside\./', $said));
    }

    /** @return list<string> every text of building, testing and joining a job */
    private static function texts(Plan $plan): array
    {
        $texts = self::joins($plan);
        foreach (Steps::for($plan, PartsList::for($plan, Demo::shelf()), Productivity::from([])) as $step) {
            $texts = [...$texts, $step->title, $step->why, $step->caution];
        }
        foreach ($plan->runs as $run) {
            foreach (['loose', 'wired'] as $when) {
                foreach ((new TestCards($plan, $run))->keys($when) as $key) {
                    array_push(
                        $texts,
                        ...array_values(array_filter((new TestCards($plan, $run))->for($key), is_string(...))),
                    );
                }
            }
        }

        return $texts;
    }

    /** @return list<string> */
    private static function joins(Plan $plan): array
    {
        $roster = Joinable::for($plan)->roster;
        $texts = [];
        foreach ([...Order::for($roster), ...Proofs::tasks($roster)] as $task) {
            $texts[] = EventWords::task($task, $roster);
            $steps = $task->family === '' ? [] : Families::get($task->family)->steps($task, $roster);
            if (in_array($task, Proofs::tasks($roster), false)) {
                $steps = Proofs::steps($task, $roster);
            }
            foreach ($steps as $step) {
                array_push($texts, $step->title, $step->why, $step->caution, $step->ifNot);
            }
            $suspects = $task->family === '' ? [] : Families::get($task->family)->suspects($task, $roster);
            foreach ($suspects as $suspect) {
                array_push($texts, $suspect->says, $suspect->check, $suspect->caution);
            }
        }

        return $texts;
    }
}
