<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks\Cases;

use EmberDusk\Job\JobState;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Position;
use EmberDusk\Plan\Show;
use EmberDusk\Plan\ShowStep;
use EmberDusk\Plan\Standing;
use EmberDusk\Plan\Trigger;
use EmberDusk\Plan\Tuning;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;

/** Scenes, shows and what starts them: for each code a job that fires it and its neighbour that does not. */
final readonly class ControlCases
{
    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    public static function all(): iterable
    {
        yield from self::apps();
        yield from self::shows();
        yield from self::triggers();
        yield from self::power();
    }

    private static function state(Plan $plan): JobState
    {
        return new JobState(plan: $plan, results: [], shelf: Demo::shelf(), today: '2026-03-01');
    }

    /**
     * Two zigbee lights, a server with instructions, two scenes.
     *
     * @param  array<string, mixed>  $leaflet
     * @param  array<string, mixed>  $light  instructions of the first light
     */
    private static function circuit(array $leaflet = [], array $light = [], string $kind = 'server'): Circuits
    {
        $typed = static fn(string $id): array => (array) ((Demo::shelf()->find($id)->written ?? [])['profile'] ?? []);
        $speaks =
            ['speaks' => ['zigbee'], 'sets' => ['single']] +
            ($kind === 'remote' ? ['zones' => 4] : ['readsHub' => false]);

        return Circuits::in("start\n2 r1\noutlet P1 at 0.5, switched\noutlet P2 at 1.5\ndry")
            ->supply('s1')
            ->controller('c1', ['family' => 'zigbee', 'profile' => $light + $typed('controller-zigbee-2')])
            ->controller('c2', ['family' => 'zigbee', 'profile' => $typed('controller-zigbee-2')])
            ->run('r1', 1.0, [], 's1', controller: 'c1')
            ->run('r2', 1.0, [], 's1', controller: 'c2')
            ->item(
                'i1',
                $kind,
                ['profile' => $leaflet + $typed($kind === 'remote' ? 'remote-zigbee-4' : 'server-own')] + $speaks,
                null,
            )
            ->scene('dim', ['c1' => [0.1], 'c2' => [0.1]])
            ->scene('full', ['c1' => [1.0], 'c2' => [1.0]]);
    }

    /**
     * @param  array<string, mixed>  $leaflet
     * @param  list<Show>  $shows
     */
    private static function app(array $leaflet, array $shows, int $phones = 1): JobState
    {
        $circuit = self::circuit($leaflet)->item(
            'i2',
            'phone',
            ['speaks' => ['zigbee'], 'sets' => ['single'], 'readsHub' => false],
            null,
            $phones,
        );
        foreach ($shows as $show) {
            $circuit = $circuit->put('shows', $show->id, $show);
        }

        return self::state($circuit->plan());
    }

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    private static function apps(): iterable
    {
        // Check values: a show's step 5 s, chance from 0.1 to 60 s, 6 colours a pattern, 10 effects (common practice, no source).
        $list = static fn(float $hold): array => [
            new Show('w1', 'Evening', Show::LIST, [new ShowStep('dim', $hold), new ShowStep('full', $hold)]),
        ];
        $chance = static fn(float $every): array => [new Show('w1', 'Drift', Show::RANDOM, [], ['c1', 'c2'], $every)];
        $many = static fn(int $count): array => array_map(
            static fn(int $n): Show => new Show("w{$n}", "Wash {$n}", Show::WASH, [], ['c1', 'c2'], 20.0),
            range(1, $count),
        );
        yield 'app-lacks a step' => [
            'app-lacks',
            static fn(): array => [self::app(['showStep' => 5], $list(4.9)), self::app(['showStep' => 5], $list(5.0))],
        ];
        yield 'app-lacks chance' => [
            'app-lacks',
            static fn(): array => [
                self::app(['randomLeast' => 0.1, 'randomMost' => 60], $chance(61.0)),
                self::app(['randomLeast' => 0.1, 'randomMost' => 60], $chance(60.0)),
            ],
        ];
        yield 'app-lacks colours' => [
            'app-lacks',
            static fn(): array => [
                self::app(['patternColours' => 6], $chance(20.0)),
                self::app(['patternColours' => 7], $chance(20.0)),
            ],
        ];
        yield 'app-lacks effects' => [
            'app-lacks',
            static fn(): array => [self::app(['effects' => 10], $many(11)), self::app(['effects' => 10], $many(10))],
        ];
        yield 'app-lacks phones' => [
            'app-lacks',
            static fn(): array => [self::app(['phones' => 1], [], 2), self::app(['phones' => 1], [])],
        ];
        yield 'app-lacks shows' => [
            'app-lacks',
            static fn(): array => [
                self::app(['lacks' => ['show']], $list(20.0)),
                self::app(['lacks' => ['fade', 'schedule', 'white', 'colour', 'presence']], $list(20.0)),
            ],
        ];
    }

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    private static function shows(): iterable
    {
        $list = static fn(float $hold, int $rounds = 2, Trigger ...$triggers): JobState => self::triggered(
            array_values($triggers),
            new Show(
                'w1',
                'Evening',
                Show::LIST,
                [new ShowStep('dim', $hold), new ShowStep('full', $hold)],
                rounds: $rounds,
            ),
        );
        // Seven changes in the worst second are three and a half flashes, six are three.
        yield 'show-flash' => ['show-flash', static fn(): array => [$list(0.15), $list(1 / 6)]];
        yield 'show-flash by chance' => [
            'show-flash',
            static fn(): array => [
                self::triggered([], new Show('w1', 'Drift', Show::RANDOM, [], ['c1'], 0.16)),
                self::triggered([], new Show('w1', 'Drift', Show::RANDOM, [], ['c1'], 0.17)),
            ],
        ];
        $starts = [new Trigger('t1', Trigger::CLOCK, plays: 'w1', minutes: 1080)];
        yield 'show-endless' => [
            'show-endless',
            static fn(): array => [$list(9.0, 0, ...$starts), $list(9.0, 5, ...$starts)],
        ];
        yield 'show-endless but put out' => [
            'show-endless',
            static fn(): array => [
                $list(9.0, 0, ...$starts),
                $list(
                    9.0,
                    0,
                    ...$starts,
                    ...[new Trigger('t2', Trigger::CLOCK, plays: Trigger::NOTHING, minutes: 1380)],
                ),
            ],
        ];
        yield 'show-empty' => ['show-empty', static fn(): array => [$list(0.0), $list(9.0)]];
        yield 'road-light' => [
            'road-light',
            static fn(): array => [
                self::triggered([new Trigger('t1', 'brake', plays: 'full')]),
                self::triggered([new Trigger('t1', Trigger::PUSH, plays: 'full')]),
            ],
        ];
        yield 'road-light of a place that travels' => [
            'road-light',
            static fn(): array => [
                self::triggered([], null, new Position(50.0, 0.0, 'UTC', true)),
                self::triggered([], null, new Position(50.0, 0.0, 'UTC')),
            ],
        ];
    }

    /** @param  list<Trigger>  $triggers */
    private static function triggered(
        array $triggers,
        ?Show $show = null,
        ?Position $position = null,
        ?Circuits $on = null,
    ): JobState {
        $circuit = $on ?? self::circuit();
        foreach ($triggers as $trigger) {
            $circuit = $circuit->put('triggers', $trigger->id, $trigger);
        }
        $circuit = $show === null ? $circuit : $circuit->put('shows', $show->id, $show);

        return self::state($position === null ? $circuit->plan() : $circuit->plan()->with(position: $position));
    }

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    private static function triggers(): iterable
    {
        $two = static fn(int $second): JobState => self::triggered([
            new Trigger('t1', Trigger::PRESENCE, plays: 'dim', on: 'stairs', priority: 4),
            new Trigger('t2', Trigger::PUSH, plays: 'full', on: 'door', priority: $second),
        ]);
        yield 'trigger-fight' => ['trigger-fight', static fn(): array => [$two(4), $two(3)]];
        $evening = [new Trigger('t1', Trigger::CLOCK, plays: 'full', minutes: 1200)];
        yield 'trigger-kit keeps the time' => [
            'trigger-kit',
            static fn(): array => [
                self::triggered($evening, on: self::circuit(kind: 'remote')),
                self::triggered($evening),
            ],
        ];
        $brake = [new Trigger('t1', 'brake', plays: 'full'), new Trigger('t2', 'left', plays: 'dim')];
        yield 'trigger-kit has the wires' => [
            'trigger-kit',
            static fn(): array => [
                self::triggered($brake, on: self::circuit([], ['inputs' => 1])),
                self::triggered($brake, on: self::circuit([], ['inputs' => 2])),
            ],
        ];
        $sunset = [new Trigger('t1', Trigger::SUNSET, plays: 'full')];
        yield 'trigger-place' => [
            'trigger-place',
            static fn(): array => [
                self::triggered($sunset),
                self::triggered($sunset, null, new Position(50.0, 0.0, 'UTC')),
            ],
        ];
        // North of the circle the sun does not set around midsummer; two degrees south of it it does.
        yield 'trigger-sun' => [
            'trigger-sun',
            static fn(): array => [
                self::triggered($sunset, null, new Position(70.0, 25.0, 'UTC')),
                self::triggered($sunset, null, new Position(64.0, 25.0, 'UTC')),
            ],
        ];
        $out = [...$sunset, new Trigger('t2', Trigger::CLOCK, plays: Trigger::NOTHING, minutes: 1260)];
        yield 'trigger-sun after the clock' => [
            'trigger-sun',
            static fn(): array => [
                self::triggered($out, null, new Position(60.0, 0.0, 'UTC')),
                self::triggered($out, null, new Position(30.0, 0.0, 'UTC')),
            ],
        ];
    }

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    private static function power(): iterable
    {
        $at = static function (string $outlet, ?Tuning $tuning = null): JobState {
            $plan = self::circuit()->plan();
            $supply = $plan->supplies['s1']->standing(new Standing('room', $outlet));
            $tunings = $tuning === null ? [] : [$tuning->id => $tuning, 'c2' => new Tuning('c2', '', Tuning::LAST)];

            return self::state($plan->with(supplies: ['s1' => $supply], tunings: $tunings));
        };
        yield 'power-on' => ['power-on', static fn(): array => [$at('P1'), $at('P2')]];
        yield 'power-on that stays dark' => [
            'power-on',
            static fn(): array => [
                $at('P1', new Tuning('c1', '', Tuning::OFF)),
                $at('P1', new Tuning('c1', '', Tuning::LEVEL, 0.8)),
            ],
        ];
    }
}
