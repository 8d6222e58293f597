<?php

declare(strict_types=1);

namespace EmberDusk\Tests;

/**
 * Kit as the shelf writes it, with what a test does not care about filled in.
 *
 * @phpstan-type Written array<string, mixed>
 */
trait CircuitKit
{
    /**
     * @param  Written  $entry
     * @return Written
     */
    private static function strip(array $entry): array
    {
        $watts = $entry['watts'] ?? 9.6;
        $channels = $entry['channels'] ?? 1;
        unset($entry['watts']);
        if (is_int($channels)) {
            unset($entry['channels']);
        }

        return self::written(
            'strip',
            $entry + [
                'volts' => 24.0,
                'pitch' => 0.05,
                'leds' => 0,
                'ledVolts' => 0.0,
                'plusRail' => 0.002,
                'returnRail' => 0.002,
                'channels' => array_map(
                    static fn(int $n): array => [
                        'name' => "channel {$n}",
                        'wattsPerMetre' => $watts / (is_int($channels) ? $channels : 1),
                        'colour' => '#ffddaa',
                    ],
                    range(1, is_int($channels) ? $channels : 1),
                ),
            ],
        );
    }

    /**
     * @param  Written  $entry
     * @return Written
     */
    private static function pixels(array $entry): array
    {
        return self::written(
            'pixels',
            $entry + [
                'volts' => 5.0,
                'pitch' => 0.05,
                'pixelsPerCut' => 1,
                'milliamps' => 20,
                'idleMilliamps' => 1,
                'turnOnVolts' => 2.6,
                'fullVolts' => 3.6,
                'dataWires' => 1,
                'bits' => 24,
                'colours' => 'rgb',
                'plusRail' => 0.002,
                'returnRail' => 0.002,
            ],
        );
    }

    /**
     * @param  Written  $entry
     * @return Written
     */
    private static function written(string $kind, array $entry): array
    {
        $id = $kind . '-' . substr(hash('xxh64', (string) json_encode($entry)), 0, 8);
        $entry += ['price' => 1.0];

        return ['kind' => $kind, 'id' => $id, 'name' => (string) ($entry['name'] ?? "a {$kind}")] +
            array_filter($entry, static fn(mixed $value): bool => $value !== null);
    }

    /**
     * Single-colour strip that takes so many watts as a resistor does, so that amps follow from volts alone.
     *
     * @return Written
     */
    public static function resistor(float $watts, float $metres = 1.0, float $volts = 24.0): array
    {
        return ['watts' => $watts / $metres, 'volts' => $volts, 'plusRail' => 0.0001, 'returnRail' => 0.0001];
    }
}
