<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Planner;

use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;

/** Seeded jobs that are small enough to enumerate: lone runs, runs that share a controller or a supply, pixels beside a leg that exists already. */
final readonly class PlannerJobs
{
    private const FUSES = ['fuse-3', 'fuse-5', 'fuse-7-5', 'fuse-10', 'fuse-15', 'fuse-20'];

    /** @return iterable<int, array{Plan, list<string>, FewOnShelf, string}> plan, runs, shelf, kind */
    public static function all(int $seed): iterable
    {
        mt_srand($seed);
        for ($n = 0; $n < 100; $n++) {
            yield $n => match (true) {
                $n % 5 === 0 => self::leg(),
                $n % 5 === 1 || $n % 5 === 2 => self::pinned(),
                $n % 10 === 3 => self::pair(),
                default => self::lone(),
            };
        }
    }

    /** @return array{Plan, list<string>, FewOnShelf, string} */
    private static function lone(): array
    {
        $volts = [12, 24][mt_rand(0, 1)];
        $plan = self::plan(
            'start end; ' . self::metres(15, $volts === 12 ? 50 : 90) . ' line; box B1 shelf at ' . self::metres(1, 14),
            ['line' => "strip-single-{$volts}"],
            [0.005, 0.006, 0.01, 0.05],
            [0.95, 0.985, 0.995],
        );

        return [
            $plan,
            ['line'],
            new FewOnShelf([
                'cable-2x25',
                ['cable-2x075', 'cable-2x1'][mt_rand(0, 1)],
                'controller-zigbee-1',
                "supply-{$volts}-100",
                "supply-{$volts}-240",
                ...self::FUSES,
            ]),
            'lone',
        ];
    }

    /**
     * Two runs under one controller, whose kit is pinned: what each would do alone can clash in the trunk.
     *
     * @return array{Plan, list<string>, FewOnShelf, string}
     */
    private static function pinned(): array
    {
        $plan = self::plan(
            'start end; ' . self::metres(9, 19) . ' line; ' . self::metres(9, 19) . ' shelf',
            ['line' => 'strip-tunable-12', 'shelf' => 'strip-tunable-12'],
            [0.024, 0.027, 0.03],
            [0.95, 0.98, 0.99],
        );
        $kit = static fn(string $run): array => array_map(
            static fn(string $k): array => ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $k],
            ['supply-12-240', 'controller-zigbee-2', 'cable-3x15'],
        );
        $plan = Demo::with($plan, ...$kit('line'), ...$kit('shelf'));
        $plan = Demo::with(
            $plan,
            ['kind' => 'ShareKit', 'run' => 'shelf', 'with' => 'c1'],
            ['kind' => 'SetCable', 'cable' => $plan->ways()->cableTo('c1')?->id, 'length' => mt_rand(45, 90) / 10],
            ...array_map(static fn(string $r): array => ['kind' => 'PinRun', 'run' => $r, 'pins' => ['kit']], [
                'line',
                'shelf',
            ]),
        );

        return [
            $plan,
            ['line', 'shelf'],
            new FewOnShelf([
                'cable-3x15',
                'cable-2x15',
                'cable-2x25',
                'controller-zigbee-2',
                'supply-12-240',
                ...self::FUSES,
            ]),
            'pinned',
        ];
    }

    /**
     * Two runs that may share a supply and a controller, or not.
     *
     * @return array{Plan, list<string>, FewOnShelf, string}
     */
    private static function pair(): array
    {
        $plan = self::plan(
            'start end; ' .
                self::metres(15, 60) .
                ' line; right ' .
                self::metres(15, 60) .
                ' shelf; box B1 corner at ' .
                self::metres(1, 14),
            ['line' => 'strip-single-24', 'shelf' => 'strip-single-24'],
            [0.01, 0.02, 0.05],
            [0.9, 0.95],
        );

        return [
            $plan,
            ['line', 'shelf'],
            new FewOnShelf(['cable-2x15', 'controller-zigbee-1', 'supply-24-100', 'supply-24-240', ...self::FUSES]),
            'pair',
        ];
    }

    /**
     * Pixels in sections, with a three-core leg behind them.
     *
     * @return array{Plan, list<string>, FewOnShelf, string}
     */
    private static function leg(): array
    {
        $section = self::metres(6, 15);
        $gaps = implode(
            '',
            array_map(
                static fn(int $n): string => sprintf(', gap 0.2 at %.2f beam', (float) $section * $n + 0.2 * ($n - 1)),
                range(1, mt_rand(1, 2)),
            ),
        );
        $plan = self::plan(
            'start end; ' .
                self::metres(45, 60) .
                ' band' .
                $gaps .
                '; box B1 beam end at 0.10; box B2 far end at 3.90; leg D B1 to B2 3x2.5 8.00, ceiling, known',
            ['band' => ['pixels-5-rgb', 'pixels-12-rgb'][mt_rand(0, 1)]],
            [0.01, 0.03, 0.06],
            [0.8, 0.9, 0.95],
        );
        $volts = $plan->strip($plan->run('band')->strip)?->volts;

        return [
            $plan,
            ['band'],
            new FewOnShelf([
                'cable-3x15',
                'cable-3x25',
                "supply-{$volts}-100",
                $volts > 5 ? 'supply-12-240' : 'supply-5-300',
                ...self::FUSES,
            ]),
            'leg',
        ];
    }

    /**
     * @param  array<string, string>  $strips  by run
     * @param  list<float>  $drops
     * @param  list<float>  $evenness
     */
    private static function plan(string $notes, array $strips, array $drops, array $evenness): Plan
    {
        $plan = Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => str_replace('; ', "\n", $notes)],
            ...array_map(
                static fn(string $run, string $strip): array => ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $strip],
                array_keys($strips),
                array_values($strips),
            ),
        );

        return Demo::with($plan, [
            'kind' => 'SetLimits',
            'drop' => $drops[mt_rand(0, count($drops) - 1)],
            'headroom' => 0.2,
            'evenness' => $evenness[mt_rand(0, count($evenness) - 1)],
            'seam' => 0.05,
            'cableCelsius' => 40,
        ]);
    }

    private static function metres(int $least, int $most): string
    {
        return sprintf('%.2f', mt_rand($least, $most) / 10);
    }
}
