<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks\Cases;

use EmberDusk\Circuit\RunResult;
use EmberDusk\Job\JobState;
use EmberDusk\Parts\Mark;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Standing;
use EmberDusk\Schedule\Arrangement;
use EmberDusk\Schedule\Visit;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\NoSolution;

/** Notes, parts, scenes, joining and the plan of work: for each code a job that fires it and its neighbour that does not. */
final readonly class JobCases
{
    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    public static function all(): iterable
    {
        yield from self::notes();
        yield from self::scenes();
        yield from self::parts();
        yield from self::work();
    }

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    private static function notes(): iterable
    {
        $walls = "start\n2 r1\ndry";
        $run = static fn(string $notes, string $mounting = 'profile'): JobState => Circuits::in($notes)
            ->run('r1', 2.0, mounting: $mounting === '' ? [] : [$mounting])
            ->state();
        $cases = [
            'slip' => ["{$walls}\nbocks B1", $walls],
            'run-lost' => ["start\n2\ndry", $walls],
            'no-notes' => ['', $walls],
            'damp' => ["start\n2 r1", $walls],
            'run-unmeasured' => ["{$walls}\nrun shelf, bare", "{$walls}\nrun r1, bare"],
            'sealed-box' => [
                "{$walls}\nbox B1 loft, 40x30x12, sealed, ladder",
                "{$walls}\nbox B1 loft, 40x30x12, vented, ladder",
            ],
            'box-open' => [
                "{$walls}\nbox B1 loft, 40x30x12, vented",
                "{$walls}\nbox B1 loft, 40x30x12, vented, ladder",
            ],
            'no-power' => [$walls, "{$walls}\noutlet P1 at 1"],
            'keyed' => ["{$walls}\noutlet P1 at 1, key", "{$walls}\noutlet P1 at 1"],
            'damp-outlet' => ["{$walls}\noutlet P1 at 1, damp", "{$walls}\noutlet P1 at 1"],
            'untraced' => ["{$walls}\nleg A P1 to P2 3x2.5", "{$walls}\nleg A P1 to P2 3x2.5, traced"],
            'broken' => ["{$walls}\nleg A P1 to P2 3x2.5, core 2 broken", "{$walls}\nleg A P1 to P2 3x2.5, traced"],
            'joined' => ["{$walls}\nleg A P1 to P2 3x2.5, joined B", "{$walls}\nleg A P1 to P2 3x2.5, traced"],
            'loose-end' => ["{$walls}\nleg A P1 to ? 3x2.5", "{$walls}\nleg A P1 to P2 3x2.5"],
            'bank-wants' => ["{$walls}\nbattery E1, 2 of 6 V", "{$walls}\nbattery E1, 2 of 6 V, want 12 V"],
            'bank-mixed' => [
                "{$walls}\nbattery E1, 2 of 6 V, 1 of 8 V, want 12 V",
                "{$walls}\nbattery E1, 2 of 6 V, 1 of 6 V, want 12 V",
            ],
            'said' => ["said\n{$walls}", $walls],
            'now-open' => ["{$walls}\nnow 4 tubes", "{$walls}\nnow 4 tubes, stay"],
            // Common practice, no source: 12 V taps on 6 V blocks, none on 8 V blocks.
            'no-tap' => ["{$walls}\nbattery E1, 6 of 8 V, want 12 V", "{$walls}\nbattery E1, 2 of 6 V, want 12 V"],
            'unbalanced' => ["{$walls}\nbattery E1, 6 of 6 V, want 12 V", "{$walls}\nbattery E1, 2 of 6 V, want 12 V"],
            // IEEE 802.15.4 and 802.11, from memory: 2450 MHz is within 11 MHz of 2447 MHz, 2475 MHz does not.
            'channel' => ["{$walls}\nwifi 8 office\nhub 20 loft", "{$walls}\nwifi 8 office\nhub 25 loft"],
        ];
        foreach ($cases as $code => [$fires, $not]) {
            yield $code => [$code, static fn(): array => [$run($fires), $run($not)]];
        }
        yield 'mounting' => ['mounting', static fn(): array => [$run($walls, ''), $run($walls)]];
        $damp = "start\n2 r1\ndamp\nrun r1";
        yield 'damp-run' => [
            'damp-run',
            static fn(): array => [$run("{$damp}, bare", 'bare'), $run("{$damp}, profile")],
        ];
    }

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    private static function scenes(): iterable
    {
        $plan = Circuits::simple()->scene('e1', ['c1' => [0.5, 0.0]]);
        $state = $plan->state();
        $full = $state->results['r1'];
        assert($full instanceof RunResult);
        $in = static fn(mixed $result): JobState => new JobState(
            plan: $state->plan,
            results: ['r1' => $full],
            shelf: Demo::shelf(),
            scenes: ['e1' => ['r1' => $result]],
        );
        // Common practice, no source: 0.90 of the brightest.
        yield 'scene-evenness' => [
            'scene-evenness',
            static fn(): array => [$in(Circuits::lit($full, [1.0, 0.895])), $in(Circuits::lit($full, [1.0, 0.905]))],
        ];
        // Of 80 pixels at 61 mA half is left: a scene of two of three colours asks for two thirds, one of one colour for a third.
        $limited = static fn(float $red, float $green): JobState => Circuits::in()
            ->supply('s1', ['volts' => 5.0, 'ratedAmps' => 60.0])
            ->run('r1', 4.0, ['kind' => 'pixels'], 's1', cap: 0.5)
            ->board('b1', ['inputLeast' => 5.0, 'inputMost' => 24.0, 'outputs' => 1, 'pixelsPerOutput' => 100], 'r1')
            ->scene('e1', ['r1' => [$red, $green, 0.0]])
            ->state();
        yield 'scene-limit' => ['scene-limit', static fn(): array => [$limited(1.0, 1.0), $limited(1.0, 0.4)]];
        yield 'scene-unsolved' => [
            'scene-unsolved',
            static fn(): array => [$in(new NoSolution('It collapses.')), $in($full)],
        ];
    }

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    private static function parts(): iterable
    {
        $plan = Demo::plan();
        $state = static fn(Plan $of): JobState => new JobState($of, [], Demo::shelf(), today: '2026-11-25');
        $made = static fn(array $how): JobState => $state(
            Demo::with($plan, ['kind' => 'SetMaking', 'run' => 'cove'] + $how),
        );
        yield 'too-long' => [
            'too-long',
            static fn(): array => [$made(['length' => 'never']), $made(['length' => 'needed'])],
        ];
        $wet = Demo::with($plan, [
            'kind' => 'ReviseNotes',
            'place' => 'lecture',
            'text' => str_replace('dry', 'damp', $plan->places['lecture']->notes),
        ]);
        yield 'glue-damp' => [
            'glue-damp',
            static fn(): array => [
                $state(Demo::with($wet, ['kind' => 'SetMaking', 'run' => 'cove', 'seal' => 'glue'])),
                $state(Demo::with($plan, ['kind' => 'SetMaking', 'run' => 'cove', 'seal' => 'glue'])),
            ],
        ];
        // The strongest profile of the demo shelf takes 18 W/m.
        $heat = static fn(float $watts): JobState => Circuits::in()
            ->run('r1', 1.5, ['watts' => $watts])
            ->state();
        yield 'profile-heat' => ['profile-heat', static fn(): array => [$heat(18.1), $heat(18.0)]];
        $marked = static fn(string $day): JobState => new JobState(
            $plan,
            [],
            Demo::shelf(),
            marks: ['strip-tunable-24' => new Mark('ordered', $day)],
            today: '2026-11-25',
        );
        yield 'part-late' => ['part-late', static fn(): array => [$marked('2026-11-24'), $marked('2026-11-25')]];
        $foreign = static fn(string $currency): JobState => Circuits::in()
            ->supply('s1', ['price' => 10, 'currency' => $currency])
            ->run('r1', 2.0, [], 's1')
            ->state();
        yield 'currency' => ['currency', static fn(): array => [$foreign('USD'), $foreign('EUR')]];
        $room = "start door\ndry\n4.00\noutlet P1 at 1.00\nbox B1 at 2.00, 20x10x5, vented, hand";
        $stands = static fn(string $notes, Standing $where, array $entry = []): JobState => Circuits::in($notes)
            ->supply('s1', $entry)
            ->put('supplies', 's1', Circuits::in()->supply('s1', $entry)->plan()->supplies['s1']->standing($where))
            ->run('r1', 2.0, [], 's1')
            ->state();
        yield 'stands-lost, box' => [
            'stands-lost',
            static fn(): array => [
                $stands($room, new Standing('room', 'B7')),
                $stands($room, new Standing('room', 'B1')),
            ],
        ];
        yield 'stands-lost, wall' => [
            'stands-lost',
            static fn(): array => [
                $stands($room, new Standing('room', wall: 0, at: 4.01)),
                $stands($room, new Standing('room', wall: 0, at: 4.0)),
            ],
        ];
        $dark = "start door\ndry\n4.00\nbox B1 at 2.00, 40x30x12, vented, hand";
        yield 'mains-reach' => [
            'mains-reach',
            static fn(): array => [
                $stands($dark, new Standing('room', 'B1')),
                $stands("{$dark}\noutlet P1 at 1.00", new Standing('room', 'B1')),
            ],
        ];
        // 20 x 10 x 5 cm is a litre: 0.60 of it may be taken, and nothing longer than 20 cm goes in.
        $sized = static fn(float $width): JobState => $stands($room, new Standing('room', 'B1'), [
            'width' => $width,
            'height' => 0.1,
            'depth' => 0.05,
        ]);
        yield 'box-full' => ['box-full', static fn(): array => [$sized(0.1201), $sized(0.1199)]];
        $long = static fn(float $width): JobState => $stands($room, new Standing('room', 'B1'), [
            'width' => $width,
            'height' => 0.02,
            'depth' => 0.02,
        ]);
        yield 'box-full, too long' => ['box-full', static fn(): array => [$long(0.201), $long(0.2)]];
        $priced = static fn(?float $price): JobState => Circuits::in()
            ->supply('s1', $price === null ? ['price' => null] : ['price' => $price])
            ->run('r1', 2.0, [], 's1')
            ->state();
        yield 'no-price' => ['no-price', static fn(): array => [$priced(null), $priced(0.01)]];
        $paid = static fn(float $rate): JobState => $state(
            Demo::with($plan, ['kind' => 'SetTerms', 'hourRate' => $rate]),
        );
        yield 'free-work' => ['free-work', static fn(): array => [$paid(0.0), $paid(0.01)]];
        $has = static fn(string $kit): JobState => $state(
            Demo::with($plan, ['kind' => 'SetOwned', 'kit' => $kit, 'count' => 1]),
        );
        yield 'unused, owned' => ['unused', static fn(): array => [$has('supply-12-100'), $has('supply-24-240')]];
        $spare = static fn(string $kit): JobState => $state(
            Demo::with($plan, ['kind' => 'SetSpare', 'kit' => $kit, 'count' => 1]),
        );
        yield 'unused, to spare' => [
            'unused',
            static fn(): array => [$spare('cable-5x15'), $spare('consumable-clips')],
        ];
        $owned = static fn(int $count): JobState => $state(
            Demo::with($plan, ['kind' => 'SetOwned', 'kit' => 'board-trial', 'count' => $count]),
        );
        yield 'trial' => ['trial', static fn(): array => [$owned(1), $owned(0)]];
    }

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    private static function work(): iterable
    {
        $plan = Demo::plan();
        $joined = static fn(string ...$ids): JobState => new JobState(
            $plan,
            [],
            Demo::shelf(),
            joined: array_values($ids),
        );
        yield 'not-joined' => ['not-joined', static fn(): array => [$joined(), $joined('c1')]];
        $arranged = static fn(Arrangement $how): JobState => new JobState(
            $plan,
            [],
            Demo::shelf(),
            today: '2026-11-25',
            arrangement: $how,
            time: '14:00',
        );
        yield 'circle' => [
            'circle',
            static fn(): array => [
                $arranged(new Arrangement(waits: [['isolate-lecture', 'tidy-lecture']])),
                $arranged(new Arrangement(waits: [['tidy-lecture', 'isolate-lecture']])),
            ],
        ];
        yield 'visits' => [
            'visits',
            static fn(): array => [
                $arranged(new Arrangement(visits: [new Visit('2026-11-25', 1, 1)])),
                $arranged(new Arrangement(visits: [new Visit('2026-11-25', 9, 1)])),
            ],
        ];
    }
}
