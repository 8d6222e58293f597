<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Plan;

use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Difference;
use EmberDusk\Plan\Invariants;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use EmberDusk\Tests\SeededJobs;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

/** Long random histories: every accepted change keeps the invariants, reads back the same, and is undone exactly. */
final class RandomChangesTest extends TestCase
{
    private const NOTES = [
        "start door\n5.20 cove\nright 3.80 cove",
        "4 cove, gap 1 at 1 door\n2 shelf",
        '0.03 cove',
        'nonsense',
        '',
        "7 cove\nright 2\nright 7 cove",
        "3 shelf\n3 cove",
    ];

    private const KIT = [
        'strip-single-24',
        'strip-tunable-24',
        'strip-tunable-12',
        'supply-24-150',
        'supply-12-240',
        'controller-zigbee-1',
        'controller-zigbee-2',
        'cable-3x15',
        'cable-2x14awg',
    ];

    public function test_every_accepted_change_is_valid_and_undone_exactly(): void
    {
        $accepted = $refused = 0;
        $kinds = [];
        for ($seed = 1; $seed <= 25; $seed++) {
            mt_srand($seed);
            $plan = Demo::plan();
            $history = [];
            for ($n = 0; $n < 40; $n++) {
                $change = self::change($plan);
                try {
                    $after = Catalogue::read($change, Demo::shelf())->apply($plan);
                } catch (Refusal $t) {
                    self::assertNotSame('', $t->getMessage());
                    $refused++;

                    continue;
                }
                Invariants::check($after);
                self::assertSame(JobFile::write($after), JobFile::write(JobFile::read(JobFile::write($after))));
                $history[] = [JobFile::write($plan), $plan, (new Difference($plan, $after))->between()];
                $plan = $after;
                $kinds[$change['kind']] = ($kinds[$change['kind']] ?? 0) + 1;
                $accepted++;
            }
            foreach (array_reverse($history) as [$text, $before, $touched]) {
                $plan = Difference::restore($plan, $before, $touched);
                self::assertSame($text, JobFile::write($plan), "seed {$seed}");
            }
        }
        // The generator reaches every kind of change, and both answers.
        self::assertGreaterThan(300, $accepted);
        self::assertGreaterThan(50, $refused);
        self::assertCount(15, $kinds);
    }

    /**
     * Changes as the screens offer them, on plans of every kind: none leaves a cable, splice or unit behind that breaks the plan. Only strips of two
     * kinds on one controller are refused by the plan's own rules.
     */
    public function test_no_change_leaves_anything_behind_that_breaks_the_plan(): void
    {
        $kinds = [];
        foreach (range(1, 16) as $seed) {
            mt_srand($seed);
            $plan = SeededJobs::of($seed);
            for ($n = 0; $n < 60; $n++) {
                $change = self::wiring($plan);
                try {
                    $after = Catalogue::read($change, Demo::shelf())->apply($plan);
                } catch (Refusal) {
                    continue;
                }
                try {
                    Invariants::check($after);
                } catch (Refusal $broken) {
                    self::assertStringContainsString('drives a strip of another kind', $broken->getMessage());

                    continue;
                }
                $plan = $after;
                $kinds[$change['kind']] = true;
            }
        }
        self::assertCount(18, $kinds);
    }

    /** @return list<string> ids of a kind on the shelf */
    private static function entries(string $kind): array
    {
        static $known = [];

        return $known[$kind] ??= array_map(
            static fn(KitSnapshot $k): string => $k->entry->id(),
            Demo::shelf()->ofKind($kind),
        );
    }

    /** @return array<string, mixed> */
    private static function wiring(Plan $plan): array
    {
        $one = static fn(array $list): mixed => $list === [] ? 'none' : $list[mt_rand(0, count($list) - 1)];
        $kit = static fn(string ...$kinds): string => $one(array_merge(...array_map(self::entries(...), $kinds)));
        $run = ['run' => $one(array_keys($plan->runs))];
        $units = [...array_keys($plan->supplies), ...array_keys($plan->controllers)];
        $fixture = $one(array_keys($plan->fixtures));
        $place = $one(array_keys($plan->places));

        return match (mt_rand(0, 20)) {
            0, 1, 2 => ['kind' => 'ChooseKit', 'kit' => $kit('strip', 'pixels', 'supply', 'controller', 'cable')] +
                $run,
            3 => ['kind' => 'ChooseKit', 'kit' => $kit('battery', 'converter', 'fuse', 'repeater', 'hub')] + $run,
            4 => ['kind' => 'AddFeed', 'at' => mt_rand(0, 100) / 10] + $run,
            5 => ['kind' => 'RemoveFeed', 'feed' => $one(array_keys($plan->feeds))],
            6 => ['kind' => 'FeedPattern', 'pattern' => $one(['ends', 'middle'])] + $run,
            7, 8 => ['kind' => 'ShareKit', 'with' => $one([...$units, 'own supply', 'own controller'])] + $run,
            9 => ['kind' => 'DropRun'] + $run,
            10 => ['kind' => 'RemovePlace', 'place' => $place],
            11 => [
                'kind' => 'SetFixture',
                'fixture' => $one([$fixture, null]),
                'kit' => $kit('fixture'),
                'place' => $place,
                'count' => mt_rand(0, 3),
            ],
            12 => ['kind' => 'ChooseModule', 'fixture' => $fixture, 'kit' => $kit('phasecut', 'analog', 'dali')],
            13 => ['kind' => 'SplitRun', 'parts' => mt_rand(1, 3)] + $run,
            14 => ['kind' => $one(['SplitParts', 'SplitController']), 'parts' => 2] + $run,
            15 => ['kind' => 'BackTogether'] + $run,
            16 => ['kind' => 'SetZones', 'pads' => [mt_rand(1, 20)]] + $run,
            17 => ['kind' => 'AddSupply', 'kit' => $kit('supply', 'battery')],
            18 => ['kind' => 'SplitRepeater', 'kit' => $kit('repeater')] + $run,
            19 => ['kind' => 'TapLeg', 'leg' => $kit('cable'), 'drop' => $kit('cable')] + $run,
            default => ['kind' => 'HangFixture', 'fixture' => $fixture, 'on' => $one($units), 'kit' => $kit('cable')],
        };
    }

    /** @return array<string, mixed> */
    private static function change(Plan $plan): array
    {
        $one = static fn(array $list): mixed => $list === [] ? 'none' : $list[mt_rand(0, count($list) - 1)];
        $run = $one(array_keys($plan->runs));
        $feed = $one(array_keys($plan->feeds));

        $kit = [...array_keys($plan->kit), 'connector-solder', 'profile-flat', 'nothing'];

        return match (mt_rand(0, 14)) {
            0 => ['kind' => 'ReviseNotes', 'place' => 'lecture', 'text' => $one(self::NOTES)],
            1, 2 => ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $one(self::KIT)],
            3 => ['kind' => 'AddFeed', 'run' => $run, 'at' => mt_rand(0, 200) / 10],
            4 => ['kind' => 'MoveFeed', 'feed' => $feed, 'pad' => mt_rand(0, 400)],
            5 => ['kind' => 'RemoveFeed', 'feed' => $feed],
            6 => ['kind' => 'FeedPattern', 'run' => $run, 'pattern' => $one(['ends', 'middle'])],
            7 => ['kind' => 'SetCable', 'cable' => $one(array_keys($plan->cables)), 'length' => mt_rand(-2, 40) / 2],
            8 => [
                'kind' => 'NameLight',
                'controller' => $one(array_keys($plan->controllers)),
                'name' => $one(['Cove', 'Shelf', '']),
                'room' => 'Hall',
            ],
            9 => ['kind' => 'SetMaking', 'run' => $run] +
                $one([
                    ['strip' => 'never'],
                    ['length' => 'saving'],
                    ['strip' => 'needed'],
                    ['profile' => 'profile-corner'],
                    ['profile' => ''],
                    ['diffuser' => 'strip-single-24'],
                    ['seal' => 'glue', 'cut' => 'before'],
                    ['seal' => ''],
                ]),
            10 => ['kind' => 'SetSpare', 'kit' => $one($kit), 'count' => $one([null, 0, 3, -1, 20_000])],
            11 => ['kind' => 'SetOwned', 'kit' => $one($kit), 'count' => mt_rand(0, 2)],
            12 => ['kind' => 'SplitRun', 'run' => $run, 'parts' => mt_rand(1, 3)],
            13 => ['kind' => 'SetCap', 'run' => $run, 'cap' => $one([0.1, 0.5, 1.0]), 'checked' => mt_rand(0, 1) === 1],
            default => mt_rand(0, 3) === 0
                ? ['kind' => 'DropRun', 'run' => $run]
                : ['kind' => 'DescribeJob', 'name' => 'Job ' . mt_rand(1, 9), 'client' => ''],
        };
    }
}
