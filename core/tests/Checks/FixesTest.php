<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks;

use EmberDusk\Checks\Findings;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Island;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Refusal;
use EmberDusk\Values\Severity;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every fix that a finding offers is applied: the finding is gone, and nothing worse than it has come up. */
final class FixesTest extends TestCase
{
    /** @return iterable<string, array{callable(): Plan, string}> a plan, and the code of a finding that it must have */
    public static function cases(): iterable
    {
        $cove = static fn(array ...$changes): callable => static fn(): Plan => Demo::with(Demo::plan(), ...$changes);
        $run = static fn(
            string $metres,
            string $strip,
            string $supply,
            string $controller,
            string $cable,
            array ...$changes,
        ): callable => static fn(): Plan => Demo::with(
            Demo::run(metres: $metres, strip: $strip, supply: $supply, controller: $controller, cable: $cable),
            ...$changes,
        );
        yield 'uneven' => [$cove(), 'evenness'];
        yield 'seam' => [$cove(), 'seam'];
        $kit = static fn(string $run): array => array_map(
            static fn(string $k): array => ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $k],
            ['strip-single-24', 'supply-24-240', 'controller-zigbee-1', 'cable-2x15'],
        );
        yield 'two runs that meet in a corner' => [
            static fn(): Plan => Demo::with(
                new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
                ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => "start end\n5.50 line\nright 5.50 shelf"],
                ...$kit('line'),
                ...$kit('shelf'),
            ),
            'seam-runs',
        ];
        yield 'small supply' => [
            $run('14', 'strip-single-24', 'supply-24-100', 'controller-zigbee-1', 'cable-2x25', [
                'kind' => 'FeedPattern',
                'run' => 'line',
                'pattern' => 'ends',
            ]),
            'headroom',
        ];
        yield 'volts too low' => [
            $run('3', 'strip-single-24', 'supply-12-100', 'controller-zigbee-1', 'cable-2x15'),
            'supply-volts',
        ];
        yield 'volts too high' => [
            $run('3', 'strip-single-12', 'supply-24-150', 'controller-zigbee-1', 'cable-2x15'),
            'supply-volts',
        ];
        yield 'too few channels' => [
            $run('3', 'strip-rgbw-24', 'supply-24-240', 'controller-zigbee-2', 'cable-5x075'),
            'channels',
        ];
        yield 'too few cores' => [
            $run('3', 'strip-tunable-24', 'supply-24-240', 'controller-zigbee-2', 'cable-2x15'),
            'cores',
        ];
        yield 'a small controller' => [
            $run('16', 'strip-tunable-24', 'supply-24-320', 'controller-zigbee-2-small', 'cable-3x15', [
                'kind' => 'SetFeeds',
                'run' => 'line',
                'shares' => [0.25, 0.75],
            ]),
            'controller-amps',
        ];
        yield 'volts lost on the way' => [
            $run('6', 'strip-single-12', 'supply-12-100', 'controller-zigbee-1', 'cable-2x15', [
                'kind' => 'SetCable',
                'cable' => 'k2',
                'length' => 6,
            ]),
            'drop',
        ];
        yield 'a cable that the supply can burn' => [
            $run('3', 'strip-single-24', 'supply-24-480', 'controller-zigbee-1', 'cable-2x075'),
            'cable-protection',
        ];
        yield 'a fuse too large for its cable' => [
            $run(
                '3',
                'strip-single-24',
                'supply-24-480',
                'controller-zigbee-1',
                'cable-2x075',
                ['kind' => 'SetCable', 'cable' => 'k1', 'fuse' => 'fuse-20'],
                ['kind' => 'SetCable', 'cable' => 'k2', 'fuse' => 'fuse-20'],
            ),
            'fuse-large',
        ];
        yield 'a fuse too small for its load' => [
            $run('12', 'strip-single-24', 'supply-24-480', 'controller-zigbee-1', 'cable-2x25', [
                'kind' => 'SetCable',
                'cable' => 'k1',
                'fuse' => 'fuse-3',
            ]),
            'fuse-small',
        ];
        yield 'a battery without a fuse' => [
            $run('3', 'strip-single-12', 'battery-12', 'controller-zigbee-1', 'cable-2x15'),
            'tap-fuse',
        ];
        yield 'a strip on a bank on charge' => [
            $run('3', 'strip-single-12', 'battery-12', 'controller-zigbee-1', 'cable-2x15', [
                'kind' => 'SetCable',
                'cable' => 'k1',
                'fuse' => 'fuse-10',
            ]),
            'swing',
        ];
        yield 'clips that carry too much' => [
            $run('10', 'strip-single-24', 'supply-24-240', 'controller-zigbee-1', 'cable-2x25', [
                'kind' => 'SetCable',
                'cable' => 'k2',
                'joint' => 'connector-clip',
            ]),
            'joint-amps',
        ];
        yield 'a switch that nobody has set' => [
            $run('3', 'strip-rgbw-24', 'supply-24-240', 'controller-zigbee-4', 'cable-5x075'),
            'setting',
        ];
        yield 'a switch that is set wrong' => [
            $run('3', 'strip-rgbw-24', 'supply-24-240', 'controller-zigbee-4', 'cable-5x075', [
                'kind' => 'SetSwitch',
                'controller' => 'c1',
                'setting' => 'rgb',
            ]),
            'setting',
        ];
        yield 'a repeater that leads' => [
            $run('3', 'strip-single-24', 'supply-24-150', 'repeater-4', 'cable-2x15'),
            'repeats-nothing',
        ];
        $kits = static fn(string $of, string ...$kits): array => array_map(
            static fn(string $k): array => ['kind' => 'ChooseKit', 'run' => $of, 'kit' => $k],
            $kits,
        );
        $repeated = static fn(
            string $strip,
            string $repeater,
            array ...$changes,
        ): callable => static fn(): Plan => Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => "start end\n6 line"],
            ['kind' => 'SplitRun', 'run' => 'line', 'parts' => 2],
            ...$kits('line', 'strip-rgbw-24', 'supply-24-240', 'controller-zigbee-4', 'cable-5x075'),
            ...$kits('line-1', $strip, 'supply-24-240', $repeater, 'cable-5x075'),
            ...$changes,
        );
        yield 'a repeater of another strip' => [$repeated('strip-tunable-24', 'repeater-4'), 'repeats-other'];
        yield 'a repeater on the supply before it' => [
            $repeated('strip-rgbw-24', 'repeater-4', ['kind' => 'ShareKit', 'run' => 'line-1', 'with' => 's1']),
            'repeats-same',
        ];
        $described = static fn(string $text, array ...$changes): callable => static fn(): Plan => Demo::with(
            Demo::run(
                metres: '6',
                strip: 'strip-rgbw-24',
                supply: 'supply-24-240',
                controller: 'controller-zigbee-4',
                cable: 'cable-5x075',
            ),
            ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => "start end\n6 line\n{$text}"],
            ...$changes,
        );
        yield 'a section no joints that no reel holds' => [
            $described('run line, bare', ['kind' => 'SetMaking', 'run' => 'line', 'strip' => 'never']),
            'too-long',
        ];
        yield 'profile no joints that no length holds' => [
            $described('run line, profile', ['kind' => 'SetMaking', 'run' => 'line', 'length' => 'never']),
            'too-long',
        ];
        yield 'hot glue where it is damp' => [
            $described("damp\nrun line, outdoors", ['kind' => 'SetMaking', 'run' => 'line', 'seal' => 'glue']),
            'glue-damp',
        ];
        yield 'a profile that gets too hot' => [
            static fn(): Plan => Demo::with(
                Demo::run(
                    metres: '3',
                    strip: 'strip-rgb-24',
                    supply: 'supply-24-150',
                    controller: 'controller-zigbee-4',
                    cable: 'cable-5x075',
                ),
                ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => "start end\n3 line\nrun line, profile"],
                ['kind' => 'SetMaking', 'run' => 'line', 'profile' => 'profile-outdoor'],
            ),
            'profile-heat',
        ];
        $pixels = static fn(array ...$changes): callable => static fn(): Plan => Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => '4 band'],
            ['kind' => 'ChooseKit', 'run' => 'band', 'kit' => 'pixels-5-rgb'],
            ['kind' => 'ChooseKit', 'run' => 'band', 'kit' => 'supply-5-100'],
            ['kind' => 'ChooseKit', 'run' => 'band', 'kit' => 'cable-2x25'],
            ...$changes,
        );
        yield 'two positives' => [
            $pixels(
                ['kind' => 'SetFeeds', 'run' => 'band', 'shares' => [0, 1]],
                ['kind' => 'AddSupply', 'kit' => 'supply-5-100'],
                ['kind' => 'SetZones', 'run' => 'band', 'pads' => [], 'feeds' => [['feed' => 'f2', 'supply' => 's2']]],
            ),
            'two-positives',
        ];
        $lamps = static fn(string $kit, int $count, array ...$changes): callable => $run(
            '2',
            'strip-single-24',
            'supply-24-240',
            'controller-zigbee-1',
            'cable-2x25',
            ['kind' => 'SetFixture', 'kit' => $kit, 'place' => 'room', 'count' => $count],
            ...$changes,
        );
        yield 'fixtures on nothing' => [$lamps('fixture-reading-24', 4), 'lamp-loose'];
        yield 'fixtures far away' => [
            $lamps('fixture-reading-24', 12, [
                'kind' => 'HangFixture',
                'fixture' => 'x1',
                'on' => 's1',
                'kit' => 'cable-2x075',
                'length' => 14,
            ]),
            'lamp-drop',
        ];
        yield 'fixtures that nothing dims' => [$lamps('fixture-porch-phase', 2), 'no-module'];
        yield 'a phase-cut module with too many lamps' => [
            $lamps('fixture-porch-phase', 20, ['kind' => 'ChooseModule', 'fixture' => 'x1', 'kit' => 'phasecut-150']),
            'phase-watts',
        ];
    }

    /** @param  callable(): Plan  $made */
    #[DataProvider('cases')]
    public function test_a_fix_resolves_its_finding_without_a_worse_one(callable $made, string $code): void
    {
        $plan = $made();
        $before = self::findings($plan);
        $meant = array_values(array_filter($before, static fn(Finding $f): bool => $f->code === $code));
        self::assertNotSame([], $meant, implode(', ', array_map(static fn(Finding $f): string => $f->code, $before)));
        foreach ($meant as $finding) {
            self::assertNotSame('', $finding->title);
            foreach ($finding->fixes as $fix) {
                $after = self::findings(Demo::with($plan, $fix->change));
                $still = array_filter(
                    $after,
                    static fn(Finding $f): bool => $f->code === $finding->code && $f->place == $finding->place,
                );
                self::assertSame(
                    [],
                    array_values(array_map(static fn(Finding $f): string => "{$f->title} {$f->detail}", $still)),
                    $fix->label,
                );
                foreach ($after as $new) {
                    $known = array_filter($before, static fn(Finding $f): bool => $f->code === $new->code) !== [];
                    self::assertFalse(
                        !$known && self::weight($new->severity) > self::weight($finding->severity),
                        "“{$fix->label}” brings: {$new->title} {$new->detail}",
                    );
                }
            }
        }
        self::assertNotSame(
            [],
            array_merge(...array_map(static fn(Finding $f): array => $f->fixes, $meant)),
            'it offers a fix',
        );
    }

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> the registry's cases */
    public static function fired(): iterable
    {
        foreach (RegistryTest::cases() as $name => [$code, $jobs]) {
            yield $name => [$code, $jobs];
        }
    }

    /**
     * Every fix of a fired finding, applied: the finding is gone at its place.
     *
     * @param  callable(): array{JobState, JobState}  $jobs
     */
    #[DataProvider('fired')]
    public function test_every_fix_of_a_fired_finding_resolves_it(string $code, callable $jobs): void
    {
        [$fires] = $jobs();
        $meant = array_filter((new Findings($fires))->mended(), static fn(Finding $f): bool => $f->code === $code);
        self::assertNotSame([], $meant);
        foreach ($meant as $finding) {
            foreach ($finding->fixes as $fix) {
                $after = array_filter(
                    self::findings(Demo::with($fires->plan, $fix->change)),
                    static fn(Finding $f): bool => $f->code === $code && $f->place == $finding->place,
                );
                self::assertSame([], array_column($after, 'title'), $fix->label);
            }
        }
    }

    private static function weight(Severity $severity): int
    {
        return match ($severity) {
            Severity::Stop => 2,
            Severity::Watch => 1,
            default => 0,
        };
    }

    /** @return list<Finding> */
    private static function findings(Plan $plan): array
    {
        $results = [];
        foreach (Island::all($plan) as $island) {
            try {
                $results += (new Engine($plan))->island($island);
            } catch (Refusal $t) {
                $results += array_map(static fn(): Refusal => $t, $island->parts + $island->fixtures);
            }
        }

        return (new Findings(new JobState($plan, $results, Demo::shelf(), [])))->mended();
    }
}
