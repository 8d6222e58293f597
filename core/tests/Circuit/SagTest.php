<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Circuit;

use EmberDusk\Checks\Light\AdjacentEnds;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Circuit\Sag;
use EmberDusk\Kit\Strip;
use EmberDusk\Plan\CutMarks;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The quick estimate against the solver; ends of two runs that meet. */
final class SagTest extends TestCase
{
    private static function marks(Plan $plan): CutMarks
    {
        return $plan->of($plan->run('line'))->cutMarks() ?? self::fail('no marks');
    }

    private static function strip(Plan $plan): Strip
    {
        return $plan->strip($plan->run('line')->strip) ?? self::fail('no strip');
    }

    /** @return iterable<string, array{string, string, string, string}> */
    public static function strips(): iterable
    {
        yield 'single colour' => ['strip-single-24', 'controller-zigbee-1', 'supply-24-480', '8'];
        yield 'tunable white' => ['strip-tunable-24', 'controller-zigbee-2', 'supply-24-480', '10'];
        yield 'four colours' => ['strip-rgbw-24', 'controller-zigbee-4', 'supply-24-480', '7'];
        yield 'twelve volts' => ['strip-single-12', 'controller-zigbee-1', 'supply-12-360', '4'];
    }

    /** With tails of no length worth mentioning the estimate is a little darker than the truth, and never by more than 0.04. */
    #[DataProvider('strips')]
    public function test_it_is_near_the_solved_run(
        string $strip,
        string $controller,
        string $supply,
        string $metres,
    ): void {
        foreach ([[0.0], [0.5], [0.0, 1.0], [0.25, 0.75]] as $shares) {
            $plan = Demo::with(
                Demo::run(
                    metres: $metres,
                    strip: $strip,
                    supply: $supply,
                    controller: $controller,
                    cable: 'cable-5x15',
                ),
                [
                    'kind' => 'SetFeeds',
                    'run' => 'line',
                    'shares' => $shares,
                ],
            );
            foreach ($plan->ways()->feedsOf($plan->run('line')) as $feed) {
                $plan = Demo::with($plan, [
                    'kind' => 'SetCable',
                    'cable' => $plan->ways()->cableTo($feed->id)?->id,
                    'length' => 0.05,
                ]);
            }
            $run = $plan->run('line');
            $estimate = Sag::evenness(
                self::strip($plan),
                self::marks($plan),
                array_map(static fn($f): int => $f->pad, $plan->ways()->feedsOf($run)),
                false,
            );
            $solved = (new Engine($plan))->nominal($run)->evenness();
            self::assertEqualsWithDelta($solved, $estimate, 0.04, json_encode($shares, JSON_THROW_ON_ERROR));
            self::assertLessThan($solved + 0.004, $estimate);
        }
    }

    public function test_halves_sag_like_both_ends(): void
    {
        $plan = Demo::run(
            metres: '8',
            strip: 'strip-single-24',
            supply: 'supply-24-480',
            controller: 'controller-zigbee-1',
            cable: 'cable-2x25',
        );
        $marks = self::marks($plan);
        $strip = self::strip($plan);
        self::assertEqualsWithDelta(
            Sag::evenness($strip, $marks, [0, $marks->lastPad()], false),
            Sag::evenness($strip, $marks, [0, $marks->lastPad()], true),
            1e-12,
        );
        self::assertSame([4.0, 4.0], Sag::shares($marks, [0, $marks->lastPad()], true));
    }

    /** 8 m with feeds at 1, 4 and 7 m: each carries to half way to its neighbour, the outer ones to the ends. */
    public function test_what_each_feed_carries(): void
    {
        $plan = Demo::run(
            metres: '8',
            strip: 'strip-single-24',
            supply: 'supply-24-480',
            controller: 'controller-zigbee-1',
            cable: 'cable-2x25',
        );
        $shares = Sag::shares(self::marks($plan), [140, 20, 80], false);
        self::assertEqualsWithDelta([2.5, 2.5, 3.0], [$shares[0], $shares[1], $shares[2]], 1e-9);
    }

    public function test_two_runs_that_meet_are_compared_where_they_do(): void
    {
        $kit = static fn(string $run, string $strip): array => array_map(
            static fn(string $k): array => ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $k],
            [$strip, 'supply-24-240', 'controller-zigbee-1', 'cable-2x15'],
        );
        $made = static fn(string $notes, string $strip = 'strip-single-24'): Plan => Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => $notes],
            ...$kit('line', 'strip-single-24'),
            ...$kit('shelf', $strip),
        );
        $findings = static function (Plan $plan): array {
            $results = array_map(static fn($r): RunResult => (new Engine($plan))->nominal($r), $plan->runs);

            return (new AdjacentEnds())->for($plan, $results);
        };
        $plan = $made("start end\n5.50 line\nright 5.50 shelf");
        [$finding] = $findings($plan);
        $line = (new Engine($plan))->nominal($plan->run('line'))->light;
        $shelf = (new Engine($plan))->nominal($plan->run('shelf'))->light;
        self::assertEqualsWithDelta(1 - $line[count($line) - 1] / $shelf[0], $finding->number, 1e-9);
        self::assertSame('Line and Shelf differ where they meet', $finding->title);
        self::assertSame(
            [],
            $findings($made("start end\n5.50 line\n1.50\nright 5.50 shelf")),
            'a metre and a half apart',
        );
        self::assertSame(
            [],
            $findings($made("start end\n5.50 line\nright 5.50 shelf", 'strip-single-24-mood')),
            'other strips are not compared',
        );
        self::assertSame(
            [],
            $findings(Demo::with($plan, ['kind' => 'FeedPattern', 'run' => 'line', 'pattern' => 'ends'])),
        );
    }
}
