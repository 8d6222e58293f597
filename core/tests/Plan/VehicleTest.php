<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Plan;

use EmberDusk\Bench\Tests\BenchTest;
use EmberDusk\Bench\Tests\Tests;
use EmberDusk\Circuit\BankStates;
use EmberDusk\Control\PowerCuts;
use EmberDusk\Handover\WiringDiagram;
use EmberDusk\Joining\RosterOfPlan;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Options\Fulfilment;
use EmberDusk\Parts\Part;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Requirement;
use EmberDusk\Plan\Routes\SignalLead;
use EmberDusk\Plan\Source;
use EmberDusk\Plan\Standing;
use EmberDusk\Plan\Trigger;
use EmberDusk\Rates\Productivity;
use EmberDusk\Schedule\Steps;
use EmberDusk\Survey\Slip;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\NoSolution;
use PHPUnit\Framework\TestCase;

/** A vehicle: its battery is there already and may be live with the key only; its signal wires are found, laid and tried. */
final class VehicleTest extends TestCase
{
    /** The seat is 0.4 m, the box with the controller 1.0 m along the wall. */
    private const NOTES =
        "start\n2 r1\nbattery E1 at 0.2, 1 of 12 V, 40 Ah, fitted, key\nbox B1 at 1.0, 20x15x10, sealed, hand\n" .
        'signal brake under the seat at 0.4, found; signal left at 0.1; run r1, moving';

    /** @param  list<string>  $by */
    private static function trike(array $by = ['brake', 'left'], string $notes = self::NOTES): Plan
    {
        $job = Circuits::in($notes)
            ->bank('s1', at: 'E1')
            ->controller('c1', ['profile' => ['inputs' => 4]])
            ->run('r1', 1.0, ['volts' => 12.0], 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's1', 'c1', fuse: 5.0)
            ->cable('k2', '2x2.5', 'c1', 'f1')
            ->scene('glow', ['c1' => [1.0]]);
        foreach ($by as $n => $signal) {
            $job = $job->put('triggers', "t{$n}", new Trigger("t{$n}", $signal, plays: 'glow'));
        }
        $plan = $job->plan();
        $box = new Standing('room', 'B1');

        $moving = $plan->run('r1')->described(WallNotes::read($notes)->site->runs['r1'] ?? null);

        return $plan->put('controllers', 'c1', $plan->controllers['c1']->standing($box))->put('runs', 'r1', $moving);
    }

    public function test_what_is_live_with_the_key_is_said_so_at_each_step(): void
    {
        $plan = self::trike();
        self::assertSame(Source::Vehicle, $plan->power()->sourceOf('c1'));
        $cuts = static fn(Plan $p): array => array_values(
            (new PowerCuts($p))->for(RosterOfPlan::for($p, new TimingMethod())->units),
        );
        self::assertSame(['the key'], $cuts($plan));
        $always = self::trike(notes: str_replace(', key', '', self::NOTES));
        self::assertSame(Source::Battery, $always->power()->sourceOf('c1'));
        self::assertSame([], $cuts($always));
    }

    /** Half of the 40 Ah of a lead-acid battery at 2 A lasts 10 h, whatever block was chosen for it. */
    public function test_its_own_ampere_hours_count(): void
    {
        $plan = self::trike();
        self::assertSame(40.0, $plan->power()->ampHours('s1'));
        self::assertEqualsWithDelta(
            (40 * $plan->block('s1')?->usable) / 2,
            BankStates::runTime($plan, 's1', 2.0)?->value,
            1e-9,
        );
        // Two rows of it, and a battery without ampere hours in the notes.
        $rows = self::trike(notes: str_replace('40 Ah', '2 rows, 40 Ah', self::NOTES));
        self::assertSame(80.0, $rows->power()->ampHours('s1'));
        $silent = self::trike(notes: str_replace(', 40 Ah', '', self::NOTES));
        self::assertSame($silent->supply('s1')?->ampHours, $silent->power()->ampHours('s1'));
    }

    public function test_a_battery_that_is_there_is_not_bought(): void
    {
        foreach ([', fitted' => 1, '' => null] as $fitted => $owned) {
            $notes = "start\n2 rail\nbattery E1 at 0.2, 1 of 12 V, 40 Ah{$fitted}; run rail, moving";
            $plan = Demo::with(Demo::plan(), ['kind' => 'AddPlace', 'name' => 'Trike']);
            $place = (string) array_key_last($plan->places);
            $plan = Demo::with($plan, ['kind' => 'ReviseNotes', 'place' => $place, 'text' => $notes]);
            $run = array_values(array_filter($plan->runs, static fn($r): bool => $r->place === $place))[0];
            $wants = new Requirement('o1', $run->id, 12.0, 'mood', 'single', 1, 'zigbee', 'shelf');
            $kit = Fulfilment::for($plan, $run, $wants, Demo::shelf());
            foreach ($kit->changes($plan, $run, $wants, [0.0]) as $change) {
                $plan = Demo::with($plan, $change->write());
            }
            $block = $plan->supplies[(string) $plan->run($run->id)->supply]->kit;
            self::assertSame($owned, $plan->owned[$block]->count ?? null);
        }
    }

    /** A board answers to one way of control: another is refused, with the ways that there are. */
    public function test_a_board_is_chosen_by_its_way_of_control(): void
    {
        $plan = Demo::with(Demo::plan(), [
            'kind' => 'ReviseNotes',
            'place' => array_key_first(Demo::plan()->places),
            'text' => "start\n2 rail\noutlet P1 at 0.1",
        ]);
        $run = array_values(array_filter($plan->runs, static fn($r): bool => $r->word === 'rail'))[0];
        $board = static function (string $control, float $volts) use ($plan, $run): string {
            $wants = new Requirement('o1', $run->id, $volts, 'mood', 'pixels', 1, $control, 'shelf');
            try {
                return Fulfilment::for($plan, $run, $wants, Demo::shelf())->board?->entry->id() ?? '';
            } catch (NoSolution $refused) {
                return $refused->getMessage();
            }
        };
        self::assertSame(['board-signals', 'board-screw'], [$board('bluetooth', 12.0), $board('wifi', 12.0)]);
        self::assertSame(
            'No pixel board on the shelf is for Bluetooth at 24 V. There is one for Wi-Fi.',
            $board('bluetooth', 24.0),
        );
    }

    /** 0.6 m along the wall and 0.9 m, with 0.3 m to work with, heights unknown. */
    public function test_signal_wires_are_measured_bought_laid_and_tried_one_at_a_time(): void
    {
        $plan = self::trike();
        $leads = array_map(
            static fn(SignalLead $l): array => [$l->signal, $l->unit, $l->noted?->found, $l->metres],
            SignalLead::all($plan),
        );
        self::assertSame([['brake', 'c1', true, 0.9], ['left', 'c1', false, 1.2]], $leads);
        $drawn = WiringDiagram::svg($plan, $plan->run('r1'));
        self::assertStringContainsString('signal: brake from under the seat, 0.90 m', $drawn);
        self::assertStringContainsString('signal: left, 1.20 m', $drawn);
        $parts = implode(
            "\n",
            array_merge(
                ...array_map(
                    static fn(Part $p): array => array_keys($p->why),
                    PartsList::for($plan, Demo::shelf())->parts,
                ),
            ),
        );
        self::assertStringContainsString('brake wire of the vehicle to C1, 0.90 m', $parts);
        // One joint at the vehicle's wire; the unit has a terminal for it.
        $joints = array_values(
            array_filter(
                PartsList::for($plan, Demo::shelf())->parts,
                static fn(Part $p): bool => $p->group === 'Joint' && isset($p->why['brake wire of the vehicle to C1']),
            ),
        );
        self::assertCount(1, $joints);
        self::assertSame(1.0, $joints[0]->why['brake wire of the vehicle to C1']);
        $titles = [];
        foreach (Steps::for($plan, PartsList::for($plan, Demo::shelf()), new Productivity([])) as $step) {
            $titles[$step->id] = $step;
        }
        self::assertSame('Brake wire: lay it to C1', $titles['item-signal-brake']->title);
        self::assertSame('Left wire: find it with the meter, lay it to C1', $titles['item-signal-left']->title);
        self::assertContains('item-signal-left', $titles['second-r1']->after);
        self::assertStringNotContainsString('ladder', $titles['cables-r1']->caution);
        $tests = array_map(static fn(BenchTest $t): string => $t->id, Tests::for($plan));
        self::assertSame(
            ['second-r1/signal-brake', 'second-r1/signal-left', 'second-r1/signals'],
            array_values(array_filter($tests, static fn(string $t): bool => str_contains($t, 'signal'))),
        );
    }

    public function test_without_a_signal_or_an_input_nothing_is_laid(): void
    {
        self::assertSame([], SignalLead::all(self::trike([])));
        $blind = self::trike();
        $kit = $blind->kit[$blind->controllers['c1']->kit];
        $without = new \EmberDusk\Kit\KitSnapshot('', ['profile' => []] + $kit->written, $kit->entry);
        self::assertSame([], SignalLead::all($blind->with(kit: [$kit->entry->id() => $without] + $blind->kit)));
        // Wanted, and not in the notes yet: no length.
        $unknown = SignalLead::all(self::trike(['right']));
        self::assertSame([null, null], [$unknown[0]->noted, $unknown[0]->metres]);
        self::assertSame('right, length not known', $unknown[0]->words());
    }

    public function test_a_signal_of_another_name_is_marked_in_the_notes(): void
    {
        $said = static fn(string $line): array => array_map(
            static fn(Slip $s): string => $s->message,
            WallNotes::read("start\n2 r1\n{$line}")->slips,
        );
        self::assertSame(['A signal is one of key, brake, left, right.'], $said('signal horn at 0.2'));
        self::assertStringContainsString('found', $said('signal brake at 0.2, lost')[0]);
        self::assertCount(1, $said("signal brake at 0.2\nsignal brake at 0.3"));
        self::assertSame([], $said('signal right'));
    }
}
