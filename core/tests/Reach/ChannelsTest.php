<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Reach;

use EmberDusk\Reach\Channels;
use PHPUnit\Framework\TestCase;

final class ChannelsTest extends TestCase
{
    /**
     * Centres of the published channel plans: Zigbee 11 is 2405 and 26 is 2480 MHz (IEEE 802.15.4); Wi-Fi 1, 6, 11
     * and 14 are 2412, 2437, 2462 and 2484 MHz (IEEE 802.11).
     */
    public function test_centres_are_those_of_the_standards(): void
    {
        self::assertSame([2405.0, 2425.0, 2480.0], array_map(Channels::zigbee(...), [11, 15, 26]));
        self::assertSame([2412.0, 2437.0, 2462.0, 2484.0], array_map(Channels::wifi(...), [1, 6, 11, 14]));
    }

    /** Beside Wi-Fi on 1, 6 and 11 the Zigbee channels 15, 20, 25 and 26 are free (common practice, no source). */
    public function test_the_usual_channels_lie_between_the_usual_networks(): void
    {
        self::assertSame([15, 20, 25, 26], array_slice(Channels::free([1, 6, 11]), 0, 4));
        self::assertTrue(Channels::overlap(12, 1));
        self::assertFalse(Channels::overlap(15, 1));
        self::assertSame([], array_diff(Channels::free([]), range(11, 26)));
    }
}
