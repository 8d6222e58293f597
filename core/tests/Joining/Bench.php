<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\ControlledLight;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\Families;
use EmberDusk\Joining\Flaw;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Simulation\Acceptance;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\Unit;
use EmberDusk\Kit\Profiles\Behaviour;
use EmberDusk\Kit\Profiles\Gesture;
use EmberDusk\Kit\Profiles\Signal;

/** One light and one control on a table, with instructions of the joining notes (common practice, no source): for traces written by hand. */
final class Bench
{
    /**
     * @param  array<string, string>  $gestures by name, as typed
     * @param  array<string, float>  $figures
     */
    public static function leaflet(array $gestures = [], array $figures = [], string $numbering = 'Light #'): Behaviour
    {
        $signals = [];
        foreach (array_keys(Behaviour::SIGNALS) as $n => $name) {
            $signals[$name] = new Signal(array_fill(0, 2 * $n + 1, 0.2));
        }

        return new Behaviour(array_map(Gesture::read(...), $gestures), $signals, $figures, $numbering);
    }

    /** Five presses reset, four open a link for 169 s; it listens 15 s; another one with power is heard for 2 m. */
    public static function zigbee(string $id = 'c1', float $x = 0.0): Unit
    {
        return new Unit(
            id: $id,
            name: "Run {$id}",
            role: Unit::LIGHT,
            family: 'zigbee',
            way: 'zigbee',
            leaflet: self::leaflet(
                ['reset' => 'press PROG 5 in 3', 'link' => 'press PROG 4 in 3'],
                [
                    'listens' => 15,
                    'takesLeast' => 3,
                    'takesMost' => 6,
                    'linkListens' => 169,
                    'linkFrom' => 15,
                    'linkUntil' => 169,
                    'apart' => 2,
                ],
            ),
            place: 'table',
            at: [$x, 0.0],
            kind: 'tunable',
        );
    }

    public static function hub(): Unit
    {
        return new Unit(
            id: 'h1',
            name: 'Hub',
            role: Unit::HUB,
            family: 'hub',
            way: 'zigbee',
            leaflet: self::leaflet([], ['search' => 60, 'lagLeast' => 2, 'lagMost' => 6]),
            place: 'table',
            speaks: ['zigbee'],
            most: 2,
        );
    }

    public static function remote(): Unit
    {
        return new Unit(
            id: 'r1',
            name: 'Remote',
            role: Unit::REMOTE,
            family: 'remote',
            way: 'zigbee',
            leaflet: self::leaflet(
                [
                    'reset' => 'hold ON 3; press ON 5',
                    'join' => 'hold ON 3; press MEET',
                    'link' => 'hold zone 2; press MEET',
                ],
                ['listens' => 20, 'takesLeast' => 2, 'takesMost' => 5, 'near' => 0.1],
            ),
            place: 'table',
            zones: 4,
        );
    }

    /**
     * @param  list<Unit>  $units
     * @param  list<array{string, string, 2?: int}>  $wants
     */
    public static function roster(array $units, array $wants): Roster
    {
        $units[] = new Unit(Roster::PHONE, 'Phone', Unit::PHONE, '', '');

        return new Roster(
            array_combine(array_map(static fn(Unit $u): string => $u->id, $units), $units),
            array_map(static fn(array $w): ControlledLight => new ControlledLight($w[0], $w[1], $w[2] ?? 0), $wants),
        );
    }

    /**
     * A site that has lived through what hands did.
     *
     * @param  list<array{float, string, string, 3?: string}>  $hands  run second, kind, device, text
     * @param  list<string>  $flaws
     */
    public static function after(
        Roster $roster,
        array $hands,
        array $flaws = [],
        int $seed = 1,
        float $until = 400.0,
    ): SimulatedSite {
        $site = Families::site($roster, $seed, array_map(Flaw::read(...), $flaws));
        foreach ($hands as $hand) {
            $site->apply(Event::read($hand[0], $hand[1], $hand[2], $hand[3] ?? ''));
        }
        $site->advance($until);

        return $site;
    }

    /**
     * So many presses, the first at that second.
     *
     * @return list<array{float, string, string, string}>
     */
    public static function presses(string $device, string $key, int $times, float $first, float $apart = 0.4): array
    {
        return array_map(
            static fn(int $n): array => [$first + $n * $apart, 'press', $device, $key],
            range(0, $times - 1),
        );
    }

    /** Effect of the first control on the first light, pressed and read. */
    public static function works(SimulatedSite $site, int $want = 0): Observation
    {
        return Acceptance::for($site, $site->roster->wants[$want]);
    }
}
