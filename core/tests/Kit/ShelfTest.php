<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Formats\Json;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Hub;
use EmberDusk\Kit\Profiles\Signal;
use EmberDusk\Kit\Shelf;
use EmberDusk\Kit\Strip;
use EmberDusk\Kit\Supply;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

final class ShelfTest extends TestCase
{
    public function test_the_demo_shelf_has_what_the_first_job_asks_for(): void
    {
        $entries = Demo::shelf()->entries();
        $of = static fn(string $kind): array => array_values(
            array_filter($entries, static fn($e): bool => $e instanceof $kind),
        );
        $strips = array_map(
            static fn($s): string => $s instanceof Strip ? $s->volts . '/' . count($s->channels) : '',
            $of(Strip::class),
        );
        self::assertSame([], array_diff(['24/1', '24/2', '12/1', '12/2'], $strips));
        $systems = array_unique(
            array_map(static fn($c): string => $c instanceof Cable ? $c->conductor->system : '', $of(Cable::class)),
        );
        self::assertEqualsCanonicalizing(['mm2', 'awg'], $systems);
        foreach ([Supply::class, Controller::class, Hub::class] as $kind) {
            self::assertNotSame([], $of($kind));
        }
    }

    /** Common practice, no source: a controller for 144 W at 24 V (6 A) carries 72 W at 12 V. */
    public function test_a_controller_carries_half_the_watts_at_half_the_volts(): void
    {
        $small = Demo::shelf()->find('controller-zigbee-2-small')?->entry;
        self::assertInstanceOf(Controller::class, $small);
        self::assertEqualsWithDelta(144.0, $small->wattsAt(24), 1e-9);
        self::assertEqualsWithDelta(72.0, $small->wattsAt(12), 1e-9);
    }

    /** Common practice, no source: 15 m at 9.6 W/m is 144 W, 6 A at 24 V. */
    public function test_the_load_of_fifteen_metres(): void
    {
        $strip = Demo::shelf()->find('strip-single-24')?->entry;
        self::assertInstanceOf(Strip::class, $strip);
        self::assertEqualsWithDelta(144.0, 15 * $strip->wattsPerMetre(), 1e-9);
        self::assertEqualsWithDelta(6.0, (15 / $strip->pitch) * $strip->nominalAmps($strip->channels[0]), 1e-9);
    }

    public function test_leds_that_leave_nothing_for_the_resistor_are_refused(): void
    {
        $entry = Demo::shelf()->find('strip-single-12')->written ?? [];
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage('leave no voltage of 12.0 V for the resistor');
        Shelf::entry(new Fields(['leds' => 4, 'ledVolts' => 3.0] + $entry));
    }

    public function test_a_hash_tells_content_not_order(): void
    {
        $entry = Demo::shelf()->find('hub-zigbee')->written ?? [];
        self::assertSame(Shelf::hash($entry), Shelf::hash(array_reverse($entry, true)));
        self::assertNotSame(Shelf::hash($entry), Shelf::hash(['name' => 'Another'] + $entry));
    }

    public function test_a_shelf_file_says_where_it_is_wrong(): void
    {
        $entry = Demo::shelf()->find('supply-24-240')->written ?? [];
        foreach (
            [
                ['/entries/0/ratedAmps', ['ratedAmps' => -1] + $entry],
                ['/entries/0/volts', ['volts' => 'many'] + $entry],
                ['/entries/0', $entry + ['colour' => 'red']],
                ['/entries/0/sourceOhms', ['sourceOhms' => 0] + $entry],
            ]
            as [$pointer, $changed]
        ) {
            try {
                Shelf::file(Json::compact(['format' => Shelf::FORMAT, 'version' => 1, 'entries' => [$changed]]));
                self::fail("nothing was said of {$pointer}");
            } catch (Refusal $t) {
                self::assertSame($pointer, $t->pointer, $t->getMessage());
            }
        }
    }

    public function test_describes_a_signal_as_text(): void
    {
        self::assertSame('3 quick, then 2 slow', (new Signal([0.2, 0.2, 0.2, 0.2, 0.2, 0.6, 0.8, 0.5, 0.8]))->words());
        $five = new Signal([0.2, 0.2, 0.2]);
        self::assertSame('2 quick', $five->words());
        self::assertEqualsWithDelta(0.6, $five->seconds(), 1e-12);
        self::assertSame([true, false, true, false], array_map($five->litAt(...), [0.1, 0.3, 0.5, 0.7]));
    }
}
