<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Control;

use EmberDusk\Control\ControlLimits;
use EmberDusk\Control\LimitClash;
use EmberDusk\Plan\Light;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Scene;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\TestCase;

/** A made-up house of eleven lights: an app of 8 rooms (common practice, no source), a remote that keeps five presets, nine wanted. */
final class LimitsTest extends TestCase
{
    private const ROOMS = 8;

    private static function house(int $rooms, int $scenes, int $presets): Plan
    {
        $leaflet = static fn(string $id): array => (array) ((Demo::shelf()->find($id)->written ?? [])['profile'] ?? []);
        $circuit = Circuits::in()->supply('s1');
        $lights = $played = [];
        for ($n = 1; $n <= 11; $n++) {
            $circuit = $circuit
                ->controller("c{$n}", ['family' => 'zigbee', 'profile' => $leaflet('controller-zigbee-2')])
                ->run("r{$n}", 1.0, [], 's1', controller: "c{$n}");
            $lights["c{$n}"] = new Light("c{$n}", "Light {$n}", 'Room ' . min($n, $rooms));
        }
        for ($n = 1; $n <= $scenes; $n++) {
            // The later ones play on more lights.
            $levels = [];
            for ($m = 1; $m <= $n; $m++) {
                $levels["c{$m}"] = [1.0];
            }
            $played["s{$n}"] = new Scene("s{$n}", "Scene {$n}", levels: $levels);
        }
        $speaks = ['speaks' => ['zigbee'], 'sets' => ['single']];

        return $circuit
            ->item(
                'i1',
                'server',
                $speaks + ['readsHub' => false, 'profile' => ['rooms' => self::ROOMS] + $leaflet('server-own')],
                null,
            )
            ->item(
                'i2',
                'remote',
                $speaks + ['zones' => 5, 'profile' => ['presets' => $presets] + $leaflet('remote-zigbee-4')],
                null,
            )
            ->plan()
            ->with(lights: $lights, scenes: $played);
    }

    public function test_every_clash_of_a_house_is_named_with_a_way_out(): void
    {
        $clashes = ControlLimits::for(self::house(9, 9, 5));
        self::assertSame(
            [LimitClash::ROOMS, LimitClash::PRESETS],
            array_map(static fn(LimitClash $c): string => $c->code, $clashes),
        );
        self::assertStringContainsString('has 8 rooms, 9 are needed', $clashes[0]->title);
        self::assertStringContainsString('Let “Room 1” and “Room 2” be one room', $clashes[0]->detail);
        self::assertStringContainsString('stores 5 presets, 9 scenes are planned', $clashes[1]->title);
        self::assertStringContainsString(
            'Store Scene 9, Scene 8, Scene 7, Scene 6, Scene 5 in it, Scene 4, Scene 3, Scene 2, Scene 1 in V1',
            $clashes[1]->detail,
        );
    }

    public function test_what_just_fits_is_no_clash(): void
    {
        self::assertSame([], ControlLimits::for(self::house(8, 5, 5)));
    }
}
