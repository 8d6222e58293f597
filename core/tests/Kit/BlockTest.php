<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\BatteryBlock;
use PHPUnit\Framework\TestCase;

final class BlockTest extends TestCase
{
    /** Common practice, no source: a 12 V bank at 11.0, 12.6 and 14.4 V; rows in parallel add what they hold and halve their ohms. */
    public function test_rows_add_what_they_hold_and_blocks_their_volts(): void
    {
        $block = BatteryBlock::read(
            new Fields(['id' => 'b', 'name' => 'Block', 'volts' => 6, 'ampHours' => 225, 'sourceOhms' => 0.004]),
        );
        $one = $block->supply(2, 1);
        $two = $block->supply(2, 2);
        self::assertSame([12.0, 225.0, 450.0], [$one->volts, $one->ampHours, $two->ampHours]);
        self::assertEqualsWithDelta([11.0, 12.6, 14.4], [$one->lowest, $one->emf, $one->charging], 1e-9);
        self::assertEqualsWithDelta(0.008, $one->sourceOhms, 1e-12);
        self::assertEqualsWithDelta(0.004, $two->sourceOhms, 1e-12);
        self::assertEqualsWithDelta(2 * $one->ratedAmps, $two->ratedAmps, 1e-9);
        self::assertEqualsWithDelta(2 * $one->limitAmps, $two->limitAmps, 1e-9);
        self::assertEqualsWithDelta(2 * $one->overloadAmps, $two->overloadAmps, 1e-9);
    }
}
