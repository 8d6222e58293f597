<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks\Cases;

use EmberDusk\Circuit\RunResult;
use EmberDusk\Tests\Circuits;

/** Colour strip whose tint moves by so many steps of 0.0011 u'v' from its brightest to its farthest place, measured here. */
final readonly class ColourCases
{
    private const CHANNELS = [
        ['name' => 'red', 'wattsPerMetre' => 4.8, 'colour' => '#ff0000', 'ledVolts' => 2.0],
        ['name' => 'green', 'wattsPerMetre' => 4.8, 'colour' => '#00ff00', 'ledVolts' => 3.1],
        ['name' => 'blue', 'wattsPerMetre' => 4.8, 'colour' => '#0000ff', 'ledVolts' => 3.1],
    ];

    /** The rails are made thicker or thinner until it is so. */
    public static function shifted(float $steps): Circuits
    {
        [$low, $high] = [0.001, 0.6];
        for ($n = 0; $n < 30; $n++) {
            $rail = ($low + $high) / 2;
            self::steps(self::strip($rail)) > $steps ? ($high = $rail) : ($low = $rail);
        }

        return self::strip(($low + $high) / 2);
    }

    private static function strip(float $rail): Circuits
    {
        return Circuits::in()
            ->supply('s1')
            ->controller('c1', ['channels' => 3])
            ->run(
                'r1',
                3.0,
                [
                    'leds' => 6,
                    'ledVolts' => 3.0,
                    'channels' => self::CHANNELS,
                    'plusRail' => $rail,
                    'returnRail' => $rail,
                    'pitch' => 0.1,
                ],
                's1',
                controller: 'c1',
            )
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's1', 'c1', metres: 0.1)
            ->cable('k2', '4x2.5', 'c1', 'f1', metres: 0.1);
    }

    /** By IEC 61966-2-1 and CIE 1976 (from memory), written out here: full primaries, mixed by the light of their channels. */
    private static function steps(Circuits $circuit): float
    {
        $result = $circuit->state(true)->results['r1'];
        assert($result instanceof RunResult);
        $columns = [[0.4124, 0.2126, 0.0193], [0.3576, 0.7152, 0.1192], [0.1805, 0.0722, 0.9505]];
        $points = [];
        foreach (array_keys($result->light) as $g) {
            [$x, $y, $z] = [0.0, 0.0, 0.0];
            foreach ($columns as $c => $column) {
                // Each channel's light counts equally in any colour: mixed by its share, not by its luminance.
                $share = $result->channelLight[$c][$g];
                [$x, $y, $z] = [$x + $share * $column[0], $y + $share * $column[1], $z + $share * $column[2]];
            }
            $points[] = [(4 * $x) / ($x + 15 * $y + 3 * $z), (9 * $y) / ($x + 15 * $y + 3 * $z)];
        }
        $first = $points[0];

        return max(
            0.0,
            ...array_map(static fn(array $p): float => hypot($p[0] - $first[0], $p[1] - $first[1]), $points),
        ) / 0.0011;
    }
}
