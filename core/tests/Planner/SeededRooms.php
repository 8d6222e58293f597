<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Planner;

use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Dice;

/** Made-up rooms of five to nine runs of mixed strips along one wall, with two outlets and a box. */
final readonly class SeededRooms
{
    private const STRIPS = ['strip-single-24', 'strip-tunable-24', 'strip-rgbw-24'];

    public static function of(int $seed): Plan
    {
        $dice = new Dice($seed);
        $number = static fn(float $least, float $most, string $what): float => round(
            $dice->between($least, $most, $what),
            1,
        );
        $names = array_slice(range('a', 'i'), 0, (int) $number(5.0, 9.4, 'runs'));
        $walls = array_map(
            static fn(string $name): string => sprintf('%.2f %s', $number(2.0, 9.0, "length {$name}"), $name),
            $names,
        );
        $notes = [
            'start door',
            'dry',
            ...$walls,
            'outlet P1 at 0.50',
            sprintf('outlet P2 at %.2f', $number(0.8, 1.8, 'outlet')),
            sprintf('box B1 at %.2f, 60x40x20, vented', $number(0.8, 1.8, 'box')),
        ];
        $plan = Demo::with(new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]), [
            'kind' => 'ReviseNotes',
            'place' => 'room',
            'text' => implode("\n", $notes),
        ]);
        foreach ($names as $name) {
            $strip = self::STRIPS[(int) $dice->between(0, 2.99, "strip {$name}")];
            $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => $name, 'kit' => $strip]);
        }

        return $plan;
    }
}
