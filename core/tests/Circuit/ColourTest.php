<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Circuit;

use EmberDusk\Circuit\Colour;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\RunFigures;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\TestCase;

final class ColourTest extends TestCase
{
    /**
     * sRGB white is D65: u' 0.1978, v' 0.4683; red u' 0.4507 v' 0.5229; green 0.1250 0.5625; blue 0.1754 0.1579 (IEC
     * 61966-2-1 primaries turned to CIE 1976, from memory).
     */
    public function test_white_and_primaries_lie_where_the_standard_puts_them(): void
    {
        foreach (
            [
                '#ffffff' => [0.1978, 0.4683],
                '#ff0000' => [0.4507, 0.5229],
                '#00ff00' => [0.125, 0.5625],
                '#0000ff' => [0.1754, 0.1579],
            ]
            as $hex => $uv
        ) {
            self::assertEqualsWithDelta($uv, Colour::ofHex($hex)->uv(), 0.0003, $hex);
        }
    }

    public function test_a_colour_comes_back_from_its_tristimulus_values(): void
    {
        foreach (['#ff8040', '#20ff9a', '#ffb46b'] as $hex) {
            self::assertSame($hex, Colour::ofHex($hex)->hex());
        }
        $red = Colour::ofHex('#ff0000');
        $blue = Colour::ofHex('#0000ff');
        self::assertSame('#ff00ff', Colour::mix([$red, $blue], [1.0, 1.0])->hex());
        self::assertSame(0.0, $red->apart(Colour::mix([$red, $blue], [0.5, 0.0])));
        self::assertSame(0.0, $red->apart(Colour::mix([$red, $blue], [0.0, 0.0])), 'a dark place has no tint');
    }

    /** Blue and green need more volts than red (common practice): the far end of a starved RGB run, whose red chips have fewer volts, turns red. */
    public function test_a_starved_colour_run_wanders(): void
    {
        $plan = Demo::run(
            metres: '8',
            strip: 'strip-rgb-12',
            supply: 'supply-12-360',
            controller: 'controller-wifi-4',
            cable: 'cable-4x15',
        );
        $run = $plan->run('line');
        $strip = $plan->strip($run->strip) ?? self::fail();
        $far = (new RunFigures((new Engine($plan))->solve($run)))->shift($strip)->value;
        $both = Demo::with($plan, ['kind' => 'SetFeeds', 'run' => 'line', 'shares' => [0, 0.5, 1]]);
        self::assertLessThan(
            $far,
            (new RunFigures((new Engine($both))->solve($both->run('line'))))->shift($strip)->value + 1e-9,
        );
    }
}
