<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks\Cases;

use EmberDusk\Job\JobState;
use EmberDusk\Kit\Dimmer;
use EmberDusk\Plan\Light;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Scene;
use EmberDusk\Plan\Show;
use EmberDusk\Plan\Trigger;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;

/** Jobs for ratings that no job of the registry's cases puts to the test. */
final readonly class RatedJobs
{
    /** @return iterable<JobState> with an entry of that kind in a place where its ratings count */
    public static function of(string $kind): iterable
    {
        yield from match ($kind) {
            'pixels' => [
                Circuits::in()
                    ->supply('s1', ['volts' => 5.0, 'ratedAmps' => 60.0])
                    ->run('r1', 4.0, ['kind' => 'pixels'], 's1')
                    ->feed('f1', 'r1', 0)
                    ->cable('k1', '3x2.5', 's1', 'f1')
                    ->state(),
            ],
            'converter' => [
                Circuits::in()
                    ->bank('s1')
                    ->converter('s2', ['volts' => 12.0, 'ratedAmps' => 8.0], 's1')
                    ->run('r1', 2.0, ['volts' => 12.0], 's2')
                    ->feed('f1', 'r1', 0)
                    ->cable('k1', '2x2.5', 's1', 's2', fuse: 5.0)
                    ->cable('k2', '2x2.5', 's2', 'f1')
                    ->state(),
            ],
            'profile' => [
                Circuits::simple()
                    ->profile('r1', ['heatWatts' => 30.0, 'stockMetres' => 2.0])
                    ->state(),
            ],
            'board' => [
                self::signals('board'),
                Circuits::in()
                    ->supply('s1', ['volts' => 12.0])
                    ->run('r1', 4.0, ['kind' => 'pixels', 'volts' => 12.0], 's1')
                    ->board(
                        'i1',
                        ['inputLeast' => 9.0, 'inputMost' => 15.0, 'outputs' => 1, 'pixelsPerOutput' => 500],
                        'r1',
                    )
                    ->feed('f1', 'r1', 0)
                    ->cable('k1', '2x2.5', 's1', 'i1')
                    ->cable('k2', '3x2.5', 'i1', 'f1')
                    ->state(),
            ],
            'controller' => [self::signals('controller')],
            'phasecut', 'dali', 'analog' => [self::signals($kind), self::bus($kind)],
            'hub', 'bridge', 'assistant', 'server', 'remote', 'panel' => [self::worked($kind)],
            default => [],
        };
    }

    /** DALI fixtures under a module, ten of them. */
    private static function bus(string $kind): JobState
    {
        return self::dimmed($kind, ['addresses' => 10], 'dali')->state();
    }

    /** @param  array<string, mixed>  $entry  of the module */
    private static function dimmed(string $kind, array $entry, string $dim): Circuits
    {
        return Circuits::in()
            ->module('m1', [
                'kind' => $kind,
                'mostWatts' => 100,
                'leastWatts' => 1,
                'milliamps' => 100,
                'outputs' => 1,
                'family' => 'zigbee',
                ...$entry,
            ])
            ->fixture('x1', 10, ['dim' => $dim, 'volts' => 230.0], 'm1');
    }

    /** Three signal wires that start something, at one controller or board. */
    private static function signals(string $kind): JobState
    {
        $inputs = ['inputs' => 1];
        $circuit = match ($kind) {
            'board' => Circuits::in()
                ->supply('s1', ['volts' => 5.0])
                ->run('r1', 1.0, ['kind' => 'pixels'], 's1')
                ->board(
                    'i1',
                    [
                        'inputLeast' => 5.0,
                        'inputMost' => 24.0,
                        'outputs' => 1,
                        'pixelsPerOutput' => 500,
                        'profile' => $inputs,
                    ],
                    'r1',
                ),
            'controller' => Circuits::simple()->controller('c1', ['profile' => $inputs]),
            default => self::dimmed(
                $kind,
                ['profile' => $inputs] + ($kind === 'dali' ? ['addresses' => 64] : []),
                Dimmer::DIMS[$kind],
            ),
        };

        return self::state(
            $circuit->plan()->with(
                scenes: ['full' => new Scene('full', 'Full', levels: ['c1' => [1.0], 'i1' => [1.0]])],
                triggers: [
                    't1' => new Trigger('t1', 'brake', plays: 'full'),
                    't2' => new Trigger('t2', 'left', plays: 'full', priority: 2),
                    't3' => new Trigger('t3', 'right', plays: 'full', priority: 3),
                ],
            ),
        );
    }

    /** Three lights in three rooms, three scenes, three shows of several colours and three phones, worked by one control. */
    private static function worked(string $kind): JobState
    {
        $leaflet = static fn(string $id): array => (array) ((Demo::shelf()->find($id)->written ?? [])['profile'] ?? []);
        $circuit = Circuits::in()->supply('s1');
        foreach ([1, 2, 3] as $n) {
            $circuit = $circuit
                ->controller("c{$n}", [
                    'family' => 'zigbee',
                    'channels' => 3,
                    'name' => "light {$n}",
                    'profile' => $leaflet('controller-zigbee-2'),
                ])
                ->run("r{$n}", 1.0, ['channels' => 3], 's1', controller: "c{$n}");
        }
        $profile = $leaflet(
            match ($kind) {
                'hub' => 'hub-zigbee',
                'remote', 'panel' => 'remote-zigbee-4',
                'bridge' => 'bridge-zones',
                default => 'server-own',
            },
        );
        $speaks = ['speaks' => ['zigbee'], 'sets' => ['single', 'rgb'], 'readsHub' => false];
        $speaks += in_array($kind, ['remote', 'panel', 'bridge'], true) ? ['zones' => 3] : ['lights' => 50];
        $circuit =
            $kind === 'hub'
                ? $circuit->hub('h1', ['family' => 'zigbee', 'profile' => $profile] + $speaks)
                : $circuit->item('i1', $kind, ['profile' => $profile] + $speaks, null);
        $lights = ['c1', 'c2', 'c3'];

        return self::state(
            $circuit
                ->item('i9', 'phone', ['speaks' => ['zigbee'], 'sets' => ['single'], 'readsHub' => true], null, 3)
                ->plan()
                ->with(
                    lights: [
                        'c1' => new Light('c1', 'Gallery window', 'Gallery'),
                        'c2' => new Light('c2', 'Porch ceiling', 'Porch'),
                        'c3' => new Light('c3', 'Larder bench', 'Larder'),
                    ],
                    scenes: [
                        'talk' => new Scene('talk', 'Talk', levels: ['c1' => [1.0]]),
                        'tidy' => new Scene('tidy', 'Tidy', levels: ['c2' => [1.0]]),
                        'late' => new Scene('late', 'Late', levels: ['c1' => [0.2], 'c3' => [0.2]]),
                    ],
                    shows: [
                        'w1' => new Show('w1', 'Drift', Show::RANDOM, [], $lights, 20.0),
                        'w2' => new Show('w2', 'Wash', Show::WASH, [], $lights, 20.0),
                        'w3' => new Show('w3', 'Roam', Show::RANDOM, [], $lights, 30.0),
                    ],
                ),
        );
    }

    private static function state(Plan $plan): JobState
    {
        return new JobState($plan, [], Demo::shelf(), today: '2026-03-01');
    }
}
