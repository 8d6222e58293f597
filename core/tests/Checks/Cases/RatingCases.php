<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks\Cases;

use EmberDusk\Checks\Ratings\Ratings;
use EmberDusk\Job\JobState;
use EmberDusk\Kit\Kinds;
use EmberDusk\Tests\Circuits;

/**
 * For each rating without its own check: the value at the part, calculated by hand, and a job by the value of the field (null: not entered). A bank
 * of 12 V is at 11.0 V empty and at 14.4 V on charge (common practice, no source).
 */
final readonly class RatingCases
{
    /** @return array<string, array{float, callable(float|null): JobState}> by kind and key */
    public static function all(): array
    {
        $with = static fn(string $key, ?float $value): array => $value === null ? [] : [$key => $value];
        $box = "start\n2 r1\ndry\nair 30\noutlet P1 at 0.1\nbox B1 at 0.5, 60x40x20, sealed, hand";

        return [
            'strip mostVolts' => [
                14.4,
                // A stated limit counts for strips of resistors too; without one their current is judged.
                static fn(?float $v): JobState => Circuits::in()
                    ->bank('s1')
                    ->controller('c1')
                    ->run('r1', 1.0, ['volts' => 12.0] + $with('mostVolts', $v), 's1', controller: 'c1')
                    ->feed('f1', 'r1', 0)
                    ->cable('k1', '2x2.5', 's1', 'c1', fuse: 5.0)
                    ->cable('k2', '2x2.5', 'c1', 'f1')
                    ->state(),
            ],
            'pixels mostVolts' => [
                14.4,
                static fn(?float $v): JobState => Circuits::in()
                    ->bank('s1')
                    ->run(
                        'r1',
                        1.0,
                        ['kind' => 'pixels', 'volts' => 12.0, 'turnOnVolts' => 7.0, 'fullVolts' => 10.0] +
                            $with('mostVolts', $v),
                        's1',
                    )
                    ->feed('f1', 'r1', 0)
                    ->cable('k1', '2x2.5', 's1', 'f1', fuse: 5.0)
                    ->state(),
            ],
            'rearranged mostVolts' => [
                14.4,
                static fn(?float $v): JobState => Circuits::in()
                    ->bank('s1')
                    ->item('i1', 'rearranged', ['volts' => 12.0, 'watts' => 2.0] + $with('mostVolts', $v), 's1')
                    ->state(),
            ],
            'fixture mostVolts' => [
                14.4,
                static fn(?float $v): JobState => Circuits::in()
                    ->bank('s1')
                    ->fixture('x1', 2, $with('mostVolts', $v))
                    ->cable('k1', '2x2.5', 's1', 'x1', fuse: 5.0)
                    ->state(),
            ],
            // Air of 30 °C, 20 K more in a sealed box (common practice, no source).
            'supply derateAbove' => [
                50.0,
                static fn(?float $v): JobState => Circuits::in($box)
                    ->supply('s1', $with('derateAbove', $v))
                    ->run('r1', 2.0, [], 's1')
                    ->standing('s1', 'B1')
                    ->state(),
            ],
            // A bank of 48 V on charge: 4 x 14.4 V.
            'fuse volts' => [
                57.6,
                static fn(?float $v): JobState => Circuits::in()
                    ->bank('s1', [], 4)
                    ->converter('s2', ['volts' => 12.0, 'ratedAmps' => 8.0], 's1')
                    ->run('r1', 1.0, ['volts' => 12.0], 's2')
                    ->cable('k1', '2x2.5', 's1', 's2', fuse: 5.0, fuseVolts: $v)
                    ->state(),
            ],
            'controller dimHertz' => [
                200.0,
                static fn(?float $v): JobState => Circuits::in()
                    ->controller('c1', $v === null ? ['dimHertz' => null] : ['dimHertz' => $v])
                    ->run('r1', 2.0, controller: 'c1')
                    ->state(),
            ],
            'supply terminal' => [
                10.0,
                static fn(?float $v): JobState => self::terminal('supply', $with('terminal', $v)),
            ],
            'controller terminal' => [
                4.0,
                static fn(?float $v): JobState => self::terminal('controller', $with('terminal', $v)),
            ],
            'repeater terminal' => [
                4.0,
                static fn(?float $v): JobState => self::terminal(
                    'controller',
                    ['kind' => 'repeater'] + $with('terminal', $v),
                ),
            ],
            'converter terminal' => [
                10.0,
                static fn(?float $v): JobState => self::terminal('converter', $with('terminal', $v)),
            ],
            'profile stripWidth' => [
                10.0,
                static fn(?float $v): JobState => Circuits::in()
                    ->run('r1', 2.0, ['stripWidth' => 10.0])
                    ->profile('r1', ['stockMetres' => 2.0] + $with('stripWidth', $v))
                    ->state(),
            ],
            // 2 m of 0.05 and 0.25 kg/m, three times that where it moves, on four: 0.45 kg.
            'holder holds' => [
                0.45,
                static fn(?float $v): JobState => Circuits::in()
                    ->run('r1', 2.0, mounting: ['profile', 'moving'])
                    ->item('i1', 'holder', ['holds' => $v ?? 1.0], 'r1', 4)
                    ->state(),
            ],
            // 10 fixtures of 46 W at 230 V: 2 A.
            'analog relayAmps' => [
                2.0,
                static fn(?float $v): JobState => Circuits::in()
                    ->module('d1', ['kind' => 'analog', 'milliamps' => 20, 'outputs' => 1] + $with('relayAmps', $v))
                    ->fixture('x1', 10, ['watts' => 46.0, 'dim' => '0-10 V', 'volts' => 230.0], 'd1')
                    ->state(),
            ],
        ];
    }

    /**
     * The same as jobs that fire a code, one per cent outside, and their neighbours inside.
     *
     * @return iterable<string, array{string, callable(): array{JobState, JobState}}>
     */
    public static function fired(): iterable
    {
        foreach (self::all() as $name => [$number, $job]) {
            [$kind, $key] = explode(' ', $name);
            $rating = Kinds::get($kind)?->fields[$key]->rates;
            assert($rating !== null);
            $way = $rating->side === 'most' ? 0.01 : -0.01;
            yield "{$name} as a rating" => [
                Ratings::quantities()[$rating->quantity]->code(),
                static fn(): array => [$job($number * (1 - $way)), $job($number * (1 + $way))],
            ];
        }
        $hertz = self::all()['controller dimHertz'][1];
        yield 'no-rating' => ['no-rating', static fn(): array => [$hertz(null), $hertz(1000.0)]];
    }

    /** @param  array<string, mixed>  $entry */
    private static function terminal(string $of, array $entry): JobState
    {
        $job = Circuits::in();
        $job = match ($of) {
            'supply' => $job->supply('s1', $entry)->controller('c1', ['terminal' => 16.0]),
            'converter' => $job
                ->converter('s1', ['volts' => 24.0, 'ratedAmps' => 8.0] + $entry)
                ->controller('c1', ['terminal' => 16.0]),
            default => $job->supply('s1', ['terminal' => 16.0])->controller('c1', $entry),
        };

        return $job
            ->run('r1', 2.0, [], 's1', controller: 'c1')
            ->cable('k1', in_array($of, ['supply', 'converter'], true) ? '2x10' : '2x4', 's1', 'c1')
            ->state();
    }
}
