<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\Families;
use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\LiveRun;
use EmberDusk\Joining\Order\Order;
use EmberDusk\Joining\Rehearsal;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Simulation\SimulatedLight;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\StoredPreset;
use PHPUnit\Framework\TestCase;

/** Scenes stored as presets of a remote: set, stored by its gesture, recalled as the proof. */
final class PresetStepsTest extends TestCase
{
    private static function house(): Roster
    {
        $roster = Bench::roster(
            [Bench::zigbee(), Bench::zigbee('c2', 9.0), Bench::remote()],
            [['r1', 'c1', 1], ['r1', 'c2', 2]],
        );

        return $roster->storing([
            new StoredPreset('r1', 1, 'Reading', ['c1' => 0.4, 'c2' => 0.0]),
            new StoredPreset('r1', 2, 'Guests', ['c1' => 1.0, 'c2' => 0.8]),
        ]);
    }

    /** @return array<string, float> by light, after a preset was recalled */
    private static function recalled(SimulatedSite $site, int $number): array
    {
        $site->apply(new Event($site->now() + 1.0, Act::SET, 'r1', "recall {$number}"));
        $lights = array_filter($site->devices(), static fn($d): bool => $d instanceof SimulatedLight);

        return array_map(static fn(SimulatedLight $d): float => round($d->level(), 2), $lights);
    }

    public function test_each_scene_is_set_stored_and_recalled(): void
    {
        $done = Rehearsal::run(self::house(), 1);
        $steps = array_values(
            array_filter(
                array_map(static fn(array $t): JoinStep => $t[1], $done->trail),
                static fn(JoinStep $s): bool => str_starts_with($s->task, 'store '),
            ),
        );
        self::assertSame(
            ['scene', 'keep', 'recall', 'scene', 'keep', 'recall'],
            array_map(static fn(JoinStep $s): string => $s->kind, $steps),
        );
        self::assertSame('Set the lights as in “Reading”: run c1 40 %, run c2 off', $steps[0]->title);
        self::assertSame([], $done->run->progress()->marks->aside);
        $site = $done->run->site() ?? self::fail('no site');
        self::assertSame(['c1' => 0.4, 'c2' => 0.0], self::recalled($site, 1));
        self::assertSame(['c1' => 1.0, 'c2' => 0.8], self::recalled($site, 2));
    }

    /** The wording of the instructions is the gesture of the step. */
    public function test_the_gesture_is_that_of_the_instructions(): void
    {
        $roster = self::house();
        $remote = $roster->unit('r1');
        $said = new Roster(
            [...$roster->units, 'r1' => $remote->with($remote->leaflet->storing('hold S 3 s', 'press S'))],
            $roster->wants,
            presets: $roster->presets,
        );
        $titles = array_map(
            static fn(JoinStep $s): string => $s->title,
            (new LiveRun($said, Order::for($said), 1))->progress()->stepsOf($roster->presets[0]->task()),
        );
        self::assertSame('Store it as preset 1 of R1: hold S 3 s', $titles[1]);
        self::assertSame('Switch the lights off, then recall preset 1 (press S): is it “Reading”?', $titles[2]);
    }

    /** A preset that was not stored is repeated once and then named; the next one goes on. */
    public function test_a_preset_that_is_not_there_is_named_and_the_others_go_on(): void
    {
        $roster = self::house();
        $run = new LiveRun($roster, Order::for($roster), 1, onSite: true);
        $seen = [];
        for ($now = 10.0; !$run->done($now) && count($seen) < 200; $now += 400.0) {
            $step = $run->next($now);
            $seen[] = $step->key();
            $bad = $step->key() === 'store r1 preset1/recall';
            if ($step->acts !== [] || $step->answers(true)[0]->key === 'work') {
                $run->work($step->key(), $now);
            }
            if ($run->next($now + 300.0)->key() === $step->key()) {
                $run->act(Event::SAW, $step->device, $now + 300.0, "{$step->key()}|" . ($bad ? 'nothing' : 'expected'));
            }
        }
        self::assertSame(2, count(array_keys($seen, 'store r1 preset1/recall', true)));
        self::assertSame(2, count(array_keys($seen, 'store r1 preset1/keep', true)));
        self::assertContains('store r1 preset2/recall', $seen);
        self::assertSame(['store r1 preset1'], array_keys($run->progress()->marks->aside));
    }

    /** A hub saves a scene in its app; a controller stores its own light, which a remote sets before. */
    public function test_an_app_and_a_controller_store_too(): void
    {
        $roster = Bench::roster([Bench::zigbee(), Bench::hub(), Bench::remote()], [['h1', 'c1', 1], ['r1', 'c1', 1]]);
        $run = Rehearsal::run(
            $roster->storing([
                new StoredPreset('h1', 1, 'Reading', ['c1' => 0.3]),
                new StoredPreset('c1', 1, 'Night', ['c1' => 0.1]),
            ]),
            1,
        );
        $titles = array_map(static fn(array $t): string => $t[1]->title, $run->trail);
        self::assertContains('Save it as “Reading” in the app of H1', $titles);
        self::assertContains('Store it as preset 1 of C1', $titles);
        self::assertSame([], $run->run->progress()->marks->aside);
        $site = $run->run->site() ?? self::fail('no site');
        foreach (['h1' => 0.3, 'c1' => 0.1] as $control => $level) {
            $site->apply(new Event($site->now() + 1.0, Act::SET, $control, 'recall 1'));
            $light = $site->device('c1');
            self::assertEqualsWithDelta(
                $level,
                $light instanceof SimulatedLight ? $light->level() : -1.0,
                1e-6,
                $control,
            );
        }
    }

    /** Levels are those of the lights that the control reaches at that moment, and no press of another control changes them. */
    public function test_a_preset_holds_only_what_its_control_reaches(): void
    {
        $site = Families::site(self::house(), 1);
        $site->apply(new Event(1.0, Act::ON, 'c1'));
        $site->apply(new Event(2.0, Act::SET, 'r1', 'store 1'));
        $site->apply(new Event(3.0, Act::SET, 'r1', 'recall 1'));
        self::assertSame(['c1' => 1.0, 'c2' => 0.0], self::recalled($site, 1), 'nothing is linked: nothing is stored');
    }
}
