<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Control;

use EmberDusk\Circuit\Colour;
use EmberDusk\Circuit\White;
use EmberDusk\Control\Mixing;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Tuning;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Colours and whites on the channels that a light has; expectations by hand from the definition of sRGB and the law of mixing. */
final class MixingTest extends TestCase
{
    /** Lamps under a module have one level, on the module's curve, and neither whites nor colours. */
    public function test_lamps_under_a_module_have_a_level_alone(): void
    {
        $plan = JobFile::read(Demo::shipped('observatory'));
        $mixing = Mixing::for($plan, 'm1');
        self::assertSame([0.4], $mixing?->plain(0.4)->duties);
        self::assertNull($mixing->whiteRange());
        self::assertFalse($mixing->colours());
        self::assertNull(Mixing::for($plan, 'm9'));
    }

    private const CHANNELS = [
        'red' => '#ff0000',
        'green' => '#00ff00',
        'blue' => '#0000ff',
        'white' => '#ffffff',
        'warm' => '#ffb46b',
        'cool' => '#dfe9ff',
    ];

    /** @param  list<string>  $channels */
    private static function plan(array $channels, bool $shared = false): Plan
    {
        return Circuits::in()
            ->supply('s1')
            ->controller('c1', ['channels' => count($channels), 'sharesChannels' => $shared])
            ->run(
                'r1',
                2.0,
                [
                    'channels' => array_map(
                        static fn(string $c): array => [
                            'name' => $c,
                            'wattsPerMetre' => 4.0,
                            'colour' => self::CHANNELS[$c],
                        ],
                        $channels,
                    ),
                ],
                's1',
                controller: 'c1',
            )
            ->plan();
    }

    /** @param  list<string>  $channels */
    private static function light(array $channels, bool $shared = false): Mixing
    {
        return Mixing::for(self::plan($channels, $shared), 'c1') ?? self::fail('nothing is known of its channels');
    }

    /** @return iterable<string, array{list<string>, string, list<float>}> */
    public static function colours(): iterable
    {
        $rgb = ['red', 'green', 'blue'];
        // The primaries of the channels are those of the screen: its linear values are the duties. 0x80 is 0.2159, 0xbc 0.5029.
        yield 'white is all three' => [$rgb, '#ffffff', [1.0, 1.0, 1.0]];
        yield 'orange' => [$rgb, '#ff8000', [1.0, 0.2159, 0.0]];
        yield 'a dark colour is as full as its level' => [$rgb, '#008000', [0.0, 1.0, 0.0]];
        // White does what all three would: the rest of red goes beside it.
        yield 'white does white' => [[...$rgb, 'white'], '#ffffff', [0.0, 0.0, 0.0, 1.0]];
        yield 'rose' => [[...$rgb, 'white'], '#ffbcbc', [0.9885, 0.0, 0.0, 1.0]];
        yield 'red needs no white' => [[...$rgb, 'white'], '#ff0000', [1.0, 0.0, 0.0, 0.0]];
    }

    /**
     * @param  list<string>  $channels
     * @param  list<float>  $duties
     */
    #[DataProvider('colours')]
    public function test_a_colour_with_the_channels_that_there_are(array $channels, string $colour, array $duties): void
    {
        $mixed = self::light($channels)->colour(1.0, Colour::ofHex($colour));
        self::assertEqualsWithDelta($duties, $mixed->duties, 0.002);
        self::assertSame('', $mixed->note);
        self::assertEqualsWithDelta(Colour::ofHex($colour)->xy(), $mixed->seen->xy(), 0.001);
    }

    public function test_a_white_between_two_whites(): void
    {
        $light = self::light(['warm', 'cool']);
        $ends = [];
        foreach ([3000, 4000, 5000, 6000] as $kelvin) {
            $mixed = $light->white(1.0, $kelvin);
            self::assertSame('', $mixed->note);
            self::assertEqualsWithDelta(1.0, max([0.0, ...$mixed->duties]), 1e-4);
            // The straight line between two whites passes beside the locus: McCamy's temperature comes within some per cent.
            self::assertEqualsWithDelta($kelvin, White::kelvin($mixed->seen), 0.04 * $kelvin);
            $ends[] = $mixed->duties[1] / array_sum($mixed->duties);
        }
        $sorted = $ends;
        sort($sorted);
        self::assertSame($sorted, $ends, 'more cool for a cooler white');
        $beyond = $light->white(1.0, 2200);
        self::assertSame([[1.0, 0.0], 'Its white goes from 2900 to 8100 K.'], [$beyond->duties, $beyond->note]);
        $shared = self::light(['warm', 'cool'], true)->white(1.0, 4000);
        self::assertEqualsWithDelta(1.0, array_sum($shared->duties), 1e-3, 'its duties add to one');
    }

    public function test_reports_missing_colours_and_dims_instead(): void
    {
        $plain = self::light(['warm']);
        self::assertSame(
            [[0.4], 'Its white is fixed: it is dimmed only.'],
            [$plain->white(0.4, 5000)->duties, $plain->white(0.4, 5000)->note],
        );
        self::assertSame(
            [[0.4, 0.4], 'It has no colours: it is dimmed only.'],
            [
                self::light(['warm', 'cool'])->colour(0.4, Colour::ofHex('#ff0000'))->duties,
                self::light(['warm', 'cool'])->colour(0.4, Colour::ofHex('#ff0000'))->note,
            ],
        );
        // A greener green than its channels have: no channel is reduced, and the difference is reported.
        $pure = self::light(['red', 'green', 'blue'])->colour(1.0, Colour::ofXy(0.17, 0.7));
        self::assertSame(0.0, $pure->duties[0]);
        self::assertSame('Its channels cannot match it exactly: the nearest colour is shown.', $pure->note);
    }

    public function test_converts_a_level_by_the_curve_of_the_light_and_back(): void
    {
        $plan = self::plan(['red', 'green', 'blue'])->with(tunings: ['c1' => new Tuning('c1', 'square')]);
        $light = Mixing::for($plan, 'c1') ?? self::fail();
        $duties = $light->colour(0.3, Colour::ofHex('#ff8000'))->duties;
        self::assertEqualsWithDelta([0.09, 0.0194, 0.0], $duties, 0.0002);
        self::assertEqualsWithDelta(0.3, $light->level($duties), 0.001);
        self::assertNull(Mixing::for($plan, 'c9'));
    }
}
