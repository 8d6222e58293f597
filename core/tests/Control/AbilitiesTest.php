<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Control;

use EmberDusk\Control\Assistants;
use EmberDusk\Control\ControlMatrix;
use EmberDusk\Control\Presets;
use EmberDusk\Handover\HandoverFacts;
use EmberDusk\Joining\Ability;
use EmberDusk\Joining\ControlledLight;
use EmberDusk\Joining\Guide\GuideSteps;
use EmberDusk\Joining\RosterOfPlan;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Plan\Light;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Scene;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\TestCase;

/** Abilities of a control for a light: matrix, speech, acceptance, presets and sheet give the same answer. */
final class AbilitiesTest extends TestCase
{
    /**
     * A tunable white light, a hub, an assistant that reads it and a remote.
     *
     * @param  array<string, mixed>  $assistant
     * @param  array<string, mixed>  $remote
     */
    private static function job(array $assistant, array $remote): Plan
    {
        $leaflet = static fn(string $id): array => Demo::shelf()->find($id)->written ?? [];
        $hub = Demo::shelf()->ofKind('hub')[0];
        $plan = Circuits::in()
            ->supply('s1')
            ->controller('c1', ['family' => 'zigbee', 'profile' => $leaflet('controller-zigbee-2')['profile'] ?? []])
            ->run('r1', 2.0, ['channels' => 2], 's1', controller: 'c1')
            ->item('i1', 'assistant', $assistant + self::ofKind('assistant', 'readsHub'), null)
            ->item('i2', 'remote', $remote + $leaflet('remote-zigbee-4'), null)
            ->plan();

        return $plan->with(
            hubs: ['h1' => new \EmberDusk\Plan\Device('h1', $hub->entry->id())],
            lights: ['c1' => new Light('c1', 'Cove', 'Hall')],
            scenes: ['talk' => new Scene('talk', 'Talk', levels: ['c1' => [1.0, 0.2]])],
            kit: $plan->kit + [$hub->entry->id() => $hub],
        );
    }

    /** @return array<string, mixed> the first entry of a kind that has a flag */
    private static function ofKind(string $kind, string $flag): array
    {
        foreach (Demo::shelf()->ofKind($kind) as $entry) {
            if (($entry->written[$flag] ?? false) === true) {
                return $entry->written;
            }
        }
        self::fail("no {$kind} with {$flag}");
    }

    public function test_an_assistant_without_whites_is_consistent_everywhere(): void
    {
        $all = ['single', 'tunable', 'rgb', 'rgbw', 'rgbcct'];
        foreach ([true, false] as $able) {
            $plan = self::job(['sets' => $able ? $all : ['single']], ['sets' => $all]);
            $said = (new Assistants($plan))->say('cove to warm white')->answers[0];
            self::assertSame($able, $said->answers);
            self::assertSame($able ? '' : 'the assistant cannot set its white temperature', $said->why);
            self::assertTrue((new Assistants($plan))->say('cove to 40 percent')->answers[0]->answers);
            self::assertSame(
                $able ? '' : 'no white temperature',
                ControlMatrix::for($plan, [])->cell('a1', 'c1')?->limited,
            );
            self::assertStringContainsString(
                $able ? 'not tested yet' : 'not tested yet, no white temperature',
                implode('|', array_merge(...array_column((new HandoverFacts($plan))->board([])->rows, 'cells'))),
            );
        }
    }

    public function test_a_remote_that_only_dims_is_accepted_by_dimming_and_keeps_no_white_scene(): void
    {
        foreach ([['tunable', true], ['single', false]] as [$kind, $able]) {
            $plan = self::job([], ['sets' => [$kind]]);
            $roster = RosterOfPlan::for($plan, new TimingMethod());
            self::assertSame($able, in_array(Ability::White, $roster->abilities('r1', 'c1'), true));
            $want = array_values(
                array_filter($roster->wants, static fn(ControlledLight $w): bool => $w->control === 'r1'),
            )[0];
            $step = (new GuideSteps($roster))->for(
                new Task('', Task::ACCEPT, $want->control, $want->light, $want->zone),
            )[0];
            self::assertSame($able, str_contains($step->title, 'warm and cold white'));
            self::assertStringContainsString('on, off, 10 %, 80 %', $step->title);
        }
    }

    public function test_a_scene_with_a_white_is_kept_by_no_remote_that_only_dims(): void
    {
        foreach ([['tunable', ['talk']], ['single', []]] as [$kind, $kept]) {
            $profile = ['presets' => 4] + (array) (Demo::shelf()->find('remote-zigbee-4')->written['profile'] ?? []);
            $plan = self::job([], ['sets' => [$kind], 'profile' => $profile]);
            $alone = $plan->with(hubs: [], items: ['i2' => $plan->items['i2']]);
            self::assertSame($kept, Presets::for($alone)->kept['r1'] ?? null);
        }
    }

    public function test_pixels_are_set_in_full_by_a_phone(): void
    {
        $plan = Circuits::in()
            ->supply('s1', ['volts' => 5.0])
            ->run('r1', 2.0, ['kind' => 'pixels'], 's1')
            ->board('i1', Demo::shelf()->find('board-screw')->written ?? [], 'r1')
            ->plan();
        $able = RosterOfPlan::for($plan, new TimingMethod())->abilities('phone', 'i1');
        self::assertContains(Ability::Colour, $able);
        self::assertContains(Ability::Scene, $able);
    }
}
