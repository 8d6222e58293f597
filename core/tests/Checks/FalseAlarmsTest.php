<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks;

use EmberDusk\Checks\Findings;
use EmberDusk\Job\JobState;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Place;
use EmberDusk\Tests\Circuits;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Severity;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Correct jobs give no finding, and what once was a false alarm is none; each beside a neighbour that has the finding. */
final class FalseAlarmsTest extends TestCase
{
    private const WALL = "start\n4 r1\ndry\nrun r1, profile\noutlet P1 at 0.2\n";

    /** Work still to do in an unbuilt job: not a fault. */
    private const WORK = ['not-joined', 'no-hub', 'no-control', 'unjoinable', 'unit-nowhere'];

    /** @return iterable<string, array{callable(): Circuits}> */
    public static function correct(): iterable
    {
        $wired = self::wired(...);
        yield 'a shelf' => [static fn() => $wired(self::WALL)->standing('s1', 'P1')];
        yield 'a short straight shelf of 0.8 m' => [
            static fn() => Circuits::in("start\n0.80 r1\ndry\nrun r1, bare\noutlet P1 at 0.2")
                ->supply('s1', ['ratedAmps' => 4.0])
                ->controller('c1')
                ->run('r1', 0.8, ['plusRail' => 0.2, 'returnRail' => 0.2], 's1', controller: 'c1', mounting: ['bare'])
                ->feed('f1', 'r1', 0)
                ->cable('k1', '2x2.5', 's1', 'c1')
                ->cable('k2', '2x2.5', 'c1', 'f1'),
        ];
        yield 'a sealed strip in a damp room' => [
            static fn() => $wired(
                "start\n4 r1\ndamp\nrun r1, bare",
                ['sealed' => 'splash'],
                ['bare'],
                ['sealed' => true],
            )
                ->put('places', 'hall', new Place('hall', 'Hall', "start\n3\ndry\noutlet P1 at 0.5"))
                ->standing('s1', 'P1', 'hall'),
        ];
        yield 'fed from the next room' => [
            static fn() => $wired("start\n4 r1\ndry\nrun r1, profile")
                ->put('places', 'hall', new Place('hall', 'Hall', "start\n3\ndry\noutlet P1 at 0.5"))
                ->standing('s1', 'P1', 'hall'),
        ];
        yield 'a boat with a converter on a bank that has no tap' => [
            static fn() => Circuits::in("start\n4 r1\ndry\nrun r1, profile\nbattery E1 at 0.5, 3 of 8 V, want 12 V")
                ->bank('s1', ['volts' => 8.0, 'ampHours' => 165.0], 3, 1, 'E1')
                ->converter('s2', ['volts' => 12.0, 'ratedAmps' => 10.0], 's1')
                ->controller('c1', ['terminal' => 4.0])
                ->run('r1', 4.0, ['volts' => 12.0], 's2', controller: 'c1')
                ->feed('f1', 'r1', 0)
                ->cable('k1', '2x2.5', 's1', 's2', fuse: 7.5)
                ->cable('k2', '2x4', 's2', 'c1', metres: 0.5)
                ->cable('k3', '2x4', 'c1', 'f1', metres: 0.5),
        ];
        yield 'pixels with their board' => [
            static fn() => Circuits::in("start\n2 r1\ndry\nrun r1, profile\noutlet P1 at 0.2")
                ->supply('s1', ['volts' => 5.0, 'ratedAmps' => 10.0, 'overloadAmps' => 12.0])
                ->run('r1', 2.0, ['kind' => 'pixels'], 's1')
                ->feed('f1', 'r1', 0)
                ->cable('k1', '3x2.5', 's1', 'f1', metres: 0.2)
                ->board('i1', self::BOARD, 'r1')
                ->cable('k2', '3x2.5', 's1', 'i1', metres: 0.2),
        ];
        yield 'low-voltage lamps' => [
            static fn() => Circuits::in("start\n4\ndry\noutlet P1 at 0.2")
                ->supply('s1', ['volts' => 12.0, 'ratedAmps' => 5.0])
                ->fixture('x1', 4)
                ->cable('k1', '2x1.5', 's1', 'x1', metres: 2.0),
        ];
        yield 'phase-cut lamps' => [
            static fn() => Circuits::in("start\n4\ndry\noutlet P1 at 0.2")
                ->module('d1', ['kind' => 'phasecut', 'mostWatts' => 150.0, 'leastWatts' => 5.0])
                ->fixture('x1', 4, ['watts' => 9.0, 'dim' => 'phase-cut', 'volts' => 230.0], 'd1'),
        ];
        yield '0-10 V fixtures' => [
            static fn() => Circuits::in("start\n4\ndry\noutlet P1 at 0.2")
                ->module('d1', [
                    'kind' => 'analog',
                    'milliamps' => 20,
                    'outputs' => 1,
                    'relayAmps' => 5.0,
                    'sinks' => true,
                ])
                ->fixture('x1', 6, ['watts' => 36.0, 'dim' => '0-10 V', 'volts' => 230.0], 'd1')
                ->cable('k1', '2x1.5', 'd1', 'x1', metres: 14.0),
        ];
        yield 'two strips on opposite sides of a cupboard' => [
            static fn() => Circuits::in(
                "start\n2.00 r1\nright 0.60\nright 2.00 r2\ndry\nrun r1, profile\nrun r2, profile\noutlet P1 at 0.2",
            )
                ->supply('s1')
                ->controller('c1')
                ->run('r1', 2.0, self::THIN, 's1', controller: 'c1')
                ->run('r2', 2.0, self::THIN, 's1', controller: 'c1')
                ->feed('f1', 'r1', 0)
                ->feed('f2', 'r2', 0)
                ->cable('k1', '2x2.5', 's1', 'c1', metres: 0.5)
                ->cable('k2', '2x2.5', 'c1', 'f1', metres: 0.5)
                ->cable('k3', '2x2.5', 'c1', 'f2', metres: 0.5),
        ];
        yield 'a supply with a stated limit on a cable for it' => [
            static fn() => $wired(self::WALL, [], ['profile'], ['ratedAmps' => 20.0, 'limitAmps' => 22.0]),
        ];
    }

    private const BOARD = [
        'inputLeast' => 5.0,
        'inputMost' => 24.0,
        'outputs' => 1,
        'pixelsPerOutput' => 500,
        'fused' => true,
    ];

    /** A strip that goes dull along its 2 m, yet is even within its limits. */
    private const THIN = ['plusRail' => 1.0, 'returnRail' => 1.0];

    /** @param  callable(): Circuits  $job */
    #[DataProvider('correct')]
    public function test_a_correct_job_gives_no_finding(callable $job): void
    {
        $found = array_filter(
            (new Findings($job()->state()))->for(),
            static fn(Finding $f): bool => !in_array($f->code, self::WORK, true),
        );
        self::assertSame(
            [],
            array_values(array_map(static fn(Finding $f): string => "{$f->code}: {$f->title}", $found)),
        );
    }

    public function test_a_hub_is_not_asked_for_beside_an_assistant_with_its_own_radio(): void
    {
        $with = static fn(?string $way): JobState => $way === null
            ? self::zigbee()->state()
            : self::zigbee()
                ->item('i1', 'assistant', ['speaks' => [$way], 'sets' => ['single'], 'readsHub' => true], null)
                ->state();
        self::assertContains('no-hub', self::codes($with(null)));
        self::assertContains('no-hub', self::codes($with('wifi')));
        self::assertNotContains('no-hub', self::codes($with('zigbee')));
    }

    public function test_the_clients_phone_is_not_bought(): void
    {
        $state = Circuits::simple()
            ->item('i1', 'phone', ['speaks' => ['bluetooth'], 'sets' => ['single'], 'price' => null], null)
            ->state();
        self::assertNotContains('no-price', self::codes($state));
        $phone = $state->plan->items['i1']->kit;
        self::assertNotContains($phone, array_column(PartsList::for($state->plan, $state->shelf)->parts, 'key'));
    }

    public function test_a_bridge_in_the_job_joins_two_ways_of_control(): void
    {
        $on = static fn(?string $bridge): JobState => array_reduce(
            $bridge === null ? [] : [$bridge],
            static fn(Circuits $c, string $way): Circuits => $c->item(
                'i2',
                'bridge',
                ['speaks' => ['rf', $way], 'sets' => ['single'], 'zones' => 1],
                null,
            ),
            self::zigbee()->item('i1', 'remote', ['speaks' => ['rf'], 'sets' => ['single'], 'zones' => 1], null),
        )->state();
        self::assertContains('item-speaks', self::codes($on(null)));
        self::assertContains('item-speaks', self::codes($on('wifi')));
        self::assertNotContains('item-speaks', self::codes($on('zigbee')));
    }

    public function test_ends_that_face_each_other_are_compared_and_those_abeam_are_not(): void
    {
        // A corner of 0.5 m without strip between two runs, fed at their far ends; then the same abeam, 0.6 m apart.
        $runs = static fn(string $walls): JobState => Circuits::in("start\n{$walls}\ndry")
            ->supply('s1')
            ->controller('c1')
            ->run('r1', 2.0, self::THIN, 's1', controller: 'c1')
            ->run('r2', 2.0, self::THIN, 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->feed('f2', 'r2', 0)
            ->cable('k1', '2x2.5', 's1', 'c1', metres: 0.5)
            ->cable('k2', '2x2.5', 'c1', 'f1', metres: 0.5)
            ->cable('k3', '2x2.5', 'c1', 'f2', metres: 0.5)
            ->state();
        self::assertContains('seam-runs', self::codes($runs("2.00 r1\n0.50\n2.00 r2")));
        self::assertContains('seam-runs', self::codes($runs("2.00 r1\nright 2.00 r2")));
        self::assertNotContains('seam-runs', self::codes($runs("2.00 r1\nright 0.60\nright 2.00 r2")));
    }

    public function test_a_listed_lamp_of_another_name_may_stay(): void
    {
        $listed = static fn(string $name): JobState => self::zigbee("dry\nlisted {$name} zigbee")->state();
        self::assertContains('listed', self::codes($listed('R1')));
        self::assertNotContains('listed', self::codes($listed('Hall')));
    }

    public function test_a_supply_that_gives_out_is_named_once(): void
    {
        $state = Circuits::in()
            ->supply('s1', ['volts' => 12.0, 'ratedAmps' => 1.0])
            ->fixture('x1', 20)
            ->cable('k1', '2x2.5', 's1', 'x1')
            ->state();
        $stops = array_filter(
            (new Findings($state))->for(),
            static fn(Finding $f): bool => $f->severity === Severity::Stop,
        );
        self::assertSame(['headroom'], array_values(array_map(static fn(Finding $f): string => $f->code, $stops)));
    }

    /**
     * A run of 4 m with its supply and controller.
     *
     * @param  array<string, mixed>  $strip
     * @param  list<string>  $mounting
     * @param  array<string, mixed>  $supply
     */
    private static function wired(
        string $notes,
        array $strip = [],
        array $mounting = ['profile'],
        array $supply = [],
    ): Circuits {
        return Circuits::in($notes)
            ->supply('s1', $supply)
            ->controller('c1', ['seal' => 'splash'])
            ->run('r1', 4.0, $strip, 's1', controller: 'c1', mounting: $mounting)
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's1', 'c1')
            ->cable('k2', '2x2.5', 'c1', 'f1');
    }

    private static function zigbee(string $notes = 'dry'): Circuits
    {
        return Circuits::in($notes)
            ->supply('s1')
            ->controller('c1', ['family' => 'zigbee'])
            ->run('r1', 2.0, [], 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's1', 'c1')
            ->cable('k2', '2x2.5', 'c1', 'f1');
    }

    /** @return list<string> */
    private static function codes(JobState $state): array
    {
        return array_values(
            array_unique(array_map(static fn(Finding $f): string => $f->code, (new Findings($state))->for())),
        );
    }
}
