<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Survey;

use EmberDusk\Survey\Length;
use EmberDusk\Values\Figure;
use PHPUnit\Framework\TestCase;

final class LengthTest extends TestCase
{
    /** 1.785 is a little less in binary: a list and the figure below it must not show two numbers. */
    public function test_rounds_as_a_figure_does(): void
    {
        foreach ([1.785, 1.005, 2.675, 0.125, 3.8] as $metres) {
            $figure = new Figure(label: 'Left', value: $metres, unit: 'm', decimals: 2, formula: 'm', inputs: []);
            self::assertSame($figure->write()['text'], Length::write($metres, Length::METRIC));
        }
        self::assertSame('1.79 m', Length::say(1.785, Length::METRIC));
        // 12 ft 5 5/8 in of 3.80 m: 3.8 / 0.0254 = 149.606 in.
        self::assertSame('12 ft 5 5/8 in', Length::write(3.8, Length::IMPERIAL));
    }
}
