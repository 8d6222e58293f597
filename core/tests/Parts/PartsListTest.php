<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Parts;

use EmberDusk\Parts\Labels;
use EmberDusk\Parts\Part;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Rates\Productivity;
use EmberDusk\Rates\Work;
use EmberDusk\Schedule\Step;
use EmberDusk\Schedule\Steps;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\TestCase;

/** The parts list is counted by hand from the plan. */
final class PartsListTest extends TestCase
{
    private static function part(Plan $plan, string $key): Part
    {
        foreach (PartsList::for($plan, Demo::shelf())->parts as $part) {
            if ($part->key === $key) {
                return $part;
            }
        }
        self::fail("no {$key}");
    }

    public function test_the_cove_is_counted_by_hand(): void
    {
        $plan = JobFile::read(Demo::file('observatory'));
        // 18 m of strip from reels of 5 m: four, three joints of three cores. Profile and diffuser from lengths of 2 m, cut
        // at four corners: nine would be 18 m without a millimetre for the saw, so ten.
        $strip = self::part($plan, 'strip-tunable-24');
        self::assertSame([18.0, 4.0], [round($strip->count, 6), $strip->buy]);
        self::assertSame(
            [10.0, 10.0],
            [self::part($plan, 'profile-flat')->buy, self::part($plan, 'diffuser-opal')->buy],
        );
        // Two cables of 1.5 and 3.2 m with 0.15 m more at each end: 5.3 m, six are bought.
        self::assertSame(
            [5.3, 6.0],
            [round(self::part($plan, 'cable-3x15')->count, 6), self::part($plan, 'cable-3x15')->buy],
        );
        // Soldered: 3 cores at the strip, 3 joints of the strip with 3 cores: 12, two more to spare. The other ends are terminals.
        self::assertSame(
            [12.0, 2, 14.0],
            [
                self::part($plan, 'connector-solder')->count,
                self::part($plan, 'connector-solder')->spare,
                self::part($plan, 'connector-solder')->buy,
            ],
        );
        // An anchor every 0.75 m and one at the end of each wall: 8 + 7 + 8 + 7, from bags of 20.
        self::assertSame(
            [30.0, 2.0],
            [self::part($plan, 'consumable-clips')->count, self::part($plan, 'consumable-clips')->buy],
        );
        self::assertSame(6.0, self::part($plan, 'fixture-panel-010')->buy);
        self::assertSame(
            ['Band', 'Bench', 'Jetty', 'Path', 'Rail'],
            array_map(static fn($r): string => $r->name(), PartsList::for($plan, Demo::shelf())->bare),
        );
    }

    public function test_owned_kit_costs_nothing(): void
    {
        $plan = JobFile::read(Demo::file('observatory'));
        $price = self::part($plan, 'supply-24-240')->cost();
        self::assertGreaterThan(0, $price);
        self::assertSame(
            0.0,
            self::part(
                Demo::with($plan, ['kind' => 'SetOwned', 'kit' => 'supply-24-240', 'count' => 1]),
                'supply-24-240',
            )->cost(),
        );
    }

    public function test_damp_runs_are_sealed_and_fuses_have_spares(): void
    {
        $plan = Demo::with(
            JobFile::read(Demo::file('observatory')),
            ['kind' => 'ChooseKit', 'run' => 'path', 'kit' => 'strip-rgbw-24'],
            ['kind' => 'SetCable', 'cable' => 'k1', 'fuse' => 'fuse-10'],
        );
        self::assertSame(2.0, self::part($plan, 'consumable-silicone')->count);
        self::assertSame(12.8, round(self::part($plan, 'profile-outdoor')->count, 6));
        self::assertSame(
            [1.0, 1, 2.0],
            [
                self::part($plan, 'fuse-10')->count,
                self::part($plan, 'fuse-10')->spare,
                self::part($plan, 'fuse-10')->buy,
            ],
        );
    }

    /** A ring for every core on a post, a holder for every fuse. */
    public function test_what_build_tells_to_fit_is_in_the_list(): void
    {
        $plan = JobFile::read(Demo::shipped('observatory'));
        $parts = array_column(PartsList::for($plan, Demo::shelf())->parts, null, 'key');
        $taps = $fuses = 0;
        foreach ($plan->cables as $cable) {
            $taps += (int) ($plan->block($cable->from) !== null);
            $fuses += (int) ($cable->fuse !== null);
        }
        self::assertGreaterThan(0, $taps);
        self::assertGreaterThan(0, $fuses);
        self::assertSame(2.0 * $taps, $parts['consumable-rings']->count);
        self::assertSame((float) $fuses, $parts['consumable-holders']->count);
        $posts = array_filter(
            Steps::for($plan, PartsList::for($plan, Demo::shelf()), new Productivity([])),
            static fn(Step $s): bool => $s->kind === Work::Posts,
        );
        foreach ($posts as $step) {
            self::assertContains('consumable-rings', $step->needs);
        }
    }

    public function test_every_end_has_a_label_that_says_where_the_other_is(): void
    {
        $plan = JobFile::read(Demo::file('observatory'));
        $labels = Labels::for($plan);
        $legs = 5;
        self::assertCount(
            count($plan->supplies) + count($plan->controllers) + 2 * count($plan->cables) + 2 * $legs,
            $labels,
        );
        $of = static fn(string $key): array => array_values(
            array_filter($labels, static fn(array $l): bool => $l['key'] === $key),
        )[0]['lines'];
        self::assertSame(['to Cove at 0.00 m', 'here: C1', '3 x 1.5 mm², 3.20 m'], $of('k2a'));
        self::assertSame(['to C1', 'here: Cove at 0.00 m', '3 x 1.5 mm², 3.20 m'], $of('k2b'));
        self::assertSame(['to P1', 'here: B1', '3 x 2.5 mm², Lecture room, traced'], $of('lecture-A-1'));
    }
}
