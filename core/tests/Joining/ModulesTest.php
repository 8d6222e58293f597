<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Checks\Kit\HubAsked;
use EmberDusk\Control\ControlMatrix;
use EmberDusk\Joining\Belief\LightSuspects;
use EmberDusk\Joining\Joinable;
use EmberDusk\Joining\Rehearsal;
use EmberDusk\Joining\RosterOfPlan;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Joining\Unit;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Answer;
use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\LightNames;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Trigger;
use EmberDusk\Rates\Productivity;
use EmberDusk\Schedule\Steps;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

/** Dimming modules are lights: joined, named, controlled, in scenes and in the plan of work like a controller. */
final class ModulesTest extends TestCase
{
    private static function demo(): Plan
    {
        return JobFile::read(Demo::shipped('observatory'));
    }

    public function test_modules_join_with_the_family_of_their_radio(): void
    {
        $joinable = Joinable::for(self::demo());
        $units = $joinable->roster->units;
        self::assertSame(
            ['zigbee', 'Workshop lamps', 'lamps'],
            [$units['m1']->family, $units['m1']->name, $units['m1']->load],
        );
        self::assertSame(
            ['mesh', 'Porch lamps', 'Porch'],
            [$units['m2']->family, $units['m2']->name, $units['m2']->room],
        );
        foreach (range(1, 5) as $seed) {
            self::assertTrue(Rehearsal::run($joinable->roster, $seed)->works(), "seed {$seed}");
        }
    }

    /** Nobody is sent to measure or pull at mains terminals, and a unit without a switch has no wrong one. */
    public function test_faults_of_a_module_are_checked_without_touching_mains(): void
    {
        $roster = Joinable::for(self::demo())->roster;
        foreach (['m1', 'm2'] as $id) {
            $suspects = (new LightSuspects($roster->unit($id)))->for();
            self::assertSame(['dead', 'lead-loose'], array_column($suspects, 'code'));
            foreach ($suspects as $suspect) {
                self::assertStringContainsString('licensed person', $suspect->check . $suspect->caution);
                self::assertDoesNotMatchRegularExpression('/Measure|Pull/', $suspect->check);
            }
            self::assertSame([], (new LightSuspects($roster->unit($id)))->setting());
        }
        // Of the demo's controllers only C2 has a switch for its kind of light.
        self::assertSame(
            ['c2'],
            array_keys(array_filter($roster->inRole(Unit::LIGHT), static fn(Unit $u): bool => $u->hasSwitch)),
        );
    }

    public function test_a_module_without_fixtures_is_no_light(): void
    {
        $plan = self::demo()->with(fixtures: ['x1' => self::demo()->fixtures['x1']]);
        $units = RosterOfPlan::for($plan, new TimingMethod())->units;
        self::assertArrayHasKey('m1', $units);
        self::assertArrayNotHasKey('m2', $units);
    }

    /** Two modules in one place are told apart by their fixtures. */
    public function test_lamps_of_two_modules_in_a_place_have_different_names(): void
    {
        $plan = self::demo();
        $porch = $plan->fixtures['x2'];
        $there = new Fitting('x2', $porch->kit, 'place4', $porch->count, $porch->module);
        $both = $plan->with(fixtures: ['x2' => $there] + $plan->fixtures);
        self::assertSame(
            ['Workshop lamps X1', 'Workshop lamps X2'],
            [(new LightNames($both))->of('m1'), (new LightNames($both))->of('m2')],
        );
    }

    public function test_modules_are_named_decided_and_in_scenes(): void
    {
        $plan = Demo::with(
            self::demo(),
            ['kind' => 'NameLight', 'controller' => 'm1', 'name' => 'Bench lamps', 'room' => 'Workshop'],
            ['kind' => 'SetAnswer', 'control' => 'h1', 'light' => 'm1', 'wanted' => false],
            ['kind' => 'SetScene', 'name' => 'Repair', 'levels' => [['of' => 'm1', 'duties' => [0.7]]]],
            ['kind' => 'SetTuning', 'id' => 'm2', 'curve' => '', 'powerOn' => 'off', 'level' => 1],
            ['kind' => 'MarkUsed', 'unit' => 'm2', 'used' => true],
        );
        self::assertSame('Bench lamps', (new LightNames($plan))->of('m1'));
        self::assertFalse($plan->answers[Answer::key('h1', 'm1')]->wanted);
        $scene = array_values(array_filter($plan->scenes, static fn($s): bool => $s->name === 'Repair'))[0];
        self::assertSame(['m1' => [0.7]], $scene->levels);
        self::assertTrue($plan->modules['m2']->used);
        self::assertSame('open', ControlMatrix::for($plan, [])->cell('h1', 'm1')?->state);
        // Decisions and levels of a module are removed with it.
        $gone = $plan->with(modules: ['m2' => $plan->modules['m2']], fixtures: ['x2' => $plan->fixtures['x2']]);
        self::assertArrayNotHasKey(Answer::key('h1', 'm1'), $gone->answers);
        self::assertSame([], $gone->scenes[$scene->id]->levels);
    }

    public function test_modules_are_joined_in_the_plan_of_work_after_their_fixtures(): void
    {
        $plan = self::demo();
        $steps = Steps::for($plan, PartsList::for($plan, Demo::shelf()), Productivity::from([]));
        $join = array_values(
            array_filter($steps, static fn($s): bool => in_array($plan->modules['m1']->kit, $s->needs, true)),
        );
        $titles = array_column($join, 'title');
        self::assertContains('M1: fix the dimming module', $titles);
        self::assertContains('Reset, join and name 2 controllers and modules', $titles);
        self::assertContains('second-x1', $join[count($join) - 1]->after);
    }

    /** One input a module, three buttons: two are wired, each behind its module; the third has no input and no step. */
    public function test_push_buttons_are_wired_to_modules_with_inputs(): void
    {
        $job = Circuits::in();
        foreach (['m1' => 'x1', 'm2' => 'x2'] as $module => $fixture) {
            $job = $job
                ->module($module, [
                    'kind' => 'phasecut',
                    'mostWatts' => 200,
                    'leastWatts' => 5,
                    'family' => 'zigbee',
                    'profile' => ['inputs' => 1],
                ])
                ->fixture($fixture, 2, ['dim' => 'phase-cut', 'volts' => 230.0], $module);
        }
        $plan = $job->plan()->with(
            triggers: [
                't1' => new Trigger('t1', Trigger::PUSH, 'door'),
                't2' => new Trigger('t2', Trigger::CLOCK),
                't3' => new Trigger('t3', Trigger::PUSH, 'stair'),
                't4' => new Trigger('t4', Trigger::PUSH, 'yard'),
            ],
        );
        $steps = Steps::for($plan, PartsList::for($plan, Demo::shelf()), Productivity::from([]));
        $after = array_column($steps, 'after', 'title');
        $id = array_column($steps, 'id', 'title');
        self::assertSame([$id['M1: fix the dimming module']], $after['M1: wire push-button, door, to input 1']);
        self::assertSame([$id['M2: fix the dimming module']], $after['M2: wire push-button, stair, to input 1']);
        self::assertStringNotContainsString('yard', implode("\n", array_keys($after)));
    }

    public function test_a_zigbee_module_without_a_hub_asks_for_one(): void
    {
        $plan = self::demo()->with(hubs: [], items: [], controllers: [], runs: []);
        self::assertSame(['m1'], HubAsked::uncontrolled($plan));
    }

    public function test_an_id_is_no_module_and_no_controller_at_once(): void
    {
        $plan = self::demo();
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage('is the id of something else already');
        JobFile::read(
            str_replace(['"id": "m1"', '"module": "m1"'], ['"id": "c1"', '"module": "c1"'], JobFile::write($plan)),
        );
    }
}
