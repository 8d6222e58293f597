<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Plan;

use EmberDusk\Kit\Channel;
use EmberDusk\Kit\Strip;
use EmberDusk\Plan\CutMarks;
use EmberDusk\Plan\Run;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CutMarksTest extends TestCase
{
    private static function marks(float $pitch, float ...$sections): CutMarks
    {
        $strip = new Strip(
            id: 's',
            name: 'S',
            volts: 24,
            pitch: $pitch,
            leds: 6,
            ledVolts: 2.9,
            slope: 0.05,
            plusRail: 0.04,
            returnRail: 0.04,
            channels: [new Channel('white', 9.6, '#ffffff')],
        );

        return CutMarks::from(
            new Run(
                id: 'r',
                place: 'p',
                word: 'r',
                sections: array_values($sections) ?: [1.0],
                jumps: array_fill(0, max(0, count($sections) - 1), 0.5),
            ),
            $strip,
        );
    }

    /** Lengths that binary fractions cannot hold must not lose a piece. */
    public function test_a_runs_end_rounds_down_to_whole_pieces(): void
    {
        self::assertSame(360, self::marks(0.05, 18.0)->groupCount());
        self::assertSame(6, self::marks(0.05, 0.3)->groupCount());
        self::assertSame(5, self::marks(0.05, 0.29)->groupCount());
        self::assertSame(0, self::marks(0.05, 0.04)->groupCount());
        self::assertSame(360, self::marks(0.05, 18.0)->lastPad());
    }

    public function test_every_section_has_both_its_end_pads(): void
    {
        $marks = self::marks(0.1, 1.0, 0.5);
        self::assertSame([10, 5], $marks->groups);
        self::assertSame(16, $marks->lastPad());
        // Pads 10 and 11 are the two sides of the gap, at the same metre of strip.
        self::assertEqualsWithDelta(
            [0.9, 1.0, 1.0, 1.1, 1.5],
            array_map($marks->position(...), [9, 10, 11, 12, 16]),
            1e-9,
        );
    }

    public function test_a_section_shorter_than_a_piece_is_bridged(): void
    {
        $marks = self::marks(0.1, 1.0, 0.05, 0.5);
        self::assertSame([10, 5], $marks->groups);
        self::assertEqualsWithDelta([1.0], $marks->jumps, 1e-9);
    }

    /** @return iterable<array{float, int}> */
    public static function metres(): iterable
    {
        yield 'start' => [0.0, 0];
        yield 'on a mark' => [0.3, 3];
        yield 'below half' => [0.349, 3];
        yield 'half goes towards the start' => [0.35, 3];
        yield 'above half' => [0.351, 4];
        yield 'beyond the end' => [99.0, 10];
    }

    #[DataProvider('metres')]
    public function test_a_feed_between_pads_goes_to_the_nearer(float $at, int $pad): void
    {
        self::assertSame($pad, self::marks(0.1, 1.0)->nearest($at));
    }
}
