<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Control;

use EmberDusk\Control\Presets;
use EmberDusk\Joining\RosterOfPlan;
use EmberDusk\Joining\StoredPreset;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Plan\Answer;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Scene;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Scenes packed into presets: no other packing keeps more. */
final class PresetsTest extends TestCase
{
    private const LIGHTS = ['c1', 'c2', 'c3', 'c4'];

    /**
     * @param  array<string, int>  $presets  by remote
     * @param  array<string, list<string>>  $works  lights by remote
     * @param  list<list<string>>  $scenes  lights of each
     */
    private static function plan(array $presets, array $works, array $scenes): Plan
    {
        $leaflet = static fn(string $id): array => (array) ((Demo::shelf()->find($id)->written ?? [])['profile'] ?? []);
        $circuit = Circuits::in()->supply('s1');
        foreach (self::LIGHTS as $n => $light) {
            $circuit = $circuit
                ->controller($light, ['family' => 'zigbee', 'profile' => $leaflet('controller-zigbee-2')])
                ->run("q{$n}", 1.0, [], 's1', controller: $light);
        }
        $answers = [];
        foreach ($presets as $id => $most) {
            $circuit = $circuit->item(
                $id,
                'remote',
                [
                    'speaks' => ['zigbee'],
                    'sets' => ['single'],
                    'zones' => 5,
                    'profile' => ['presets' => $most] + $leaflet('remote-zigbee-4'),
                ],
                null,
            );
            foreach (self::LIGHTS as $light) {
                $answer = new Answer($id, $light, in_array($light, $works[$id], true));
                $answers[$answer->id()] = $answer;
            }
        }
        $played = [];
        foreach ($scenes as $n => $lights) {
            $played["e{$n}"] = new Scene("e{$n}", "Scene {$n}", levels: array_fill_keys($lights, [1.0]));
        }

        return $circuit->plan()->with(answers: $answers, scenes: $played);
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 12) as $seed) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_no_packing_keeps_more(int $seed): void
    {
        mt_srand($seed);
        $some = static fn(int $least): array => array_values(
            array_filter(self::LIGHTS, static fn(): bool => mt_rand(0, 2) >= $least),
        );
        $presets = ['i1' => mt_rand(1, 3), 'i2' => mt_rand(1, 2), 'i3' => 1];
        $works = array_map(static fn(): array => [...$some(1), 'c1'], $presets);
        $scenes = array_map(static fn(): array => [...$some(2), self::LIGHTS[mt_rand(0, 3)]], range(1, 6));
        $scenes = array_map(static fn(array $s): array => array_values(array_unique($s)), $scenes);
        $packed = Presets::for(self::plan($presets, $works, $scenes));
        $kept = 0;
        $of = array_combine(array_keys($packed->kept), array_keys($presets));
        foreach ($packed->kept as $control => $ids) {
            self::assertLessThanOrEqual($presets[$of[$control]], count($ids));
            foreach ($ids as $id) {
                self::assertSame(
                    [],
                    array_diff($scenes[(int) substr($id, 1)], $works[$of[$control]]),
                    'it works all its lights',
                );
            }
            $kept += count($ids);
        }
        self::assertSame(count($scenes), $kept + count($packed->left));
        self::assertSame(self::most($scenes, $presets, $works), $kept);
    }

    /** The first scene moves to the other remote where only the first remote can keep the second. */
    public function test_a_scene_moves_where_another_needs_its_preset(): void
    {
        $packed = Presets::for(
            self::plan(['i1' => 1, 'i2' => 1], ['i1' => ['c1', 'c2'], 'i2' => ['c1']], [['c1'], ['c2']]),
        );
        self::assertSame(['r1' => ['e1'], 'r2' => ['e0']], $packed->kept);
        self::assertSame([], $packed->left);
    }

    /** Presets of app, remote and controller are counted apart: a controller keeps scenes of its own light alone. */
    public function test_a_controller_keeps_scenes_of_its_own_light(): void
    {
        $leaflet = (array) ((Demo::shelf()->find('controller-zigbee-2')->written ?? [])['profile'] ?? []);
        $plan = Circuits::in()
            ->supply('s1')
            ->controller('c1', ['family' => 'zigbee', 'profile' => ['presets' => 1] + $leaflet])
            ->controller('c2', ['family' => 'zigbee', 'profile' => $leaflet])
            ->run('q1', 1.0, [], 's1', controller: 'c1')
            ->run('q2', 1.0, [], 's1', controller: 'c2')
            ->scene('e1', ['c1' => [1.0]])
            ->scene('e2', ['c1' => [1.0], 'c2' => [1.0]])
            ->plan();
        self::assertSame([['c1' => ['e1']], ['e2']], [Presets::for($plan)->kept, Presets::for($plan)->left]);
    }

    /**
     * Every way of keeping them, tried.
     *
     * @param  list<list<string>>  $scenes
     * @param  array<string, int>  $presets
     * @param  array<string, list<string>>  $works
     */
    private static function most(array $scenes, array $presets, array $works): int
    {
        $scene = array_shift($scenes);
        if ($scene === null) {
            return 0;
        }
        $best = self::most($scenes, $presets, $works);
        foreach ($presets as $id => $room) {
            if ($room > 0 && array_diff($scene, $works[$id]) === []) {
                $best = max($best, 1 + self::most($scenes, [$id => $room - 1] + $presets, $works));
            }
        }

        return $best;
    }

    /** Numbers in the order of the presets, levels of the lights by the mean of their channels. */
    public function test_scenes_to_store_on_site_have_a_number_and_levels(): void
    {
        $plan = self::plan(['r1' => 2], ['r1' => self::LIGHTS], [['c1', 'c2'], ['c3']]);
        $reading = new Scene('e1', 'Reading', levels: ['c3' => [0.2, 0.6]]);
        $plan = $plan->with(scenes: [...$plan->scenes, 'e1' => $reading]);
        $stored = Presets::for($plan)->stored($plan);
        self::assertSame(
            [['r1', 1, 'Scene 0'], ['r1', 2, 'Reading']],
            array_map(static fn($s): array => [$s->control, $s->number, $s->scene], $stored),
        );
        self::assertSame([['c1' => 1.0, 'c2' => 1.0], ['c3' => 0.4]], array_column($stored, 'levels'));
    }

    /** What nobody can set beforehand is not a step: a scene of two segments that are one device, a light without a control. */
    public function test_what_no_control_sets_is_no_step(): void
    {
        $works = self::plan(['r1' => 1], ['r1' => self::LIGHTS], [['c1']]);
        $one = new StoredPreset('c1', 1, 'Own', ['c1' => 0.5]);
        self::assertSame('r1', $one->setBy(RosterOfPlan::for($works, new TimingMethod()))['c1']->control);
        $none = self::plan(['r1' => 1], ['r1' => []], [['c1']]);
        self::assertSame([], $one->setBy(RosterOfPlan::for($none, new TimingMethod())));
    }
}
