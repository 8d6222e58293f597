<?php

declare(strict_types=1);

namespace Tests\Screens\Wire;

use App\Screens\Wire\SupplyRows;
use EmberDusk\Circuit\Engine;
use EmberDusk\Job\JobState;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\TestCase;

final class SupplyRowsTest extends TestCase
{
    public function test_supplies_say_average_peak_and_how_long_a_battery_lasts(): void
    {
        $plan = Demo::with(
            Demo::run(
                metres: '2.00',
                strip: 'strip-single-12',
                supply: 'battery-12',
                controller: 'controller-zigbee-1',
                cable: 'cable-2x25',
            ),
        );
        $full = (new Engine($plan))->solve($plan->run('line'));
        [$row] = SupplyRows::for(new JobState($plan, ['line' => $full], Demo::shelf(), []));
        self::assertTrue($row->battery);
        self::assertSame($row->average?->text(), $row->peak?->text(), 'at full both are one');
        // Half of 105 Ah by what 2 m of 9.6 W/m draw.
        self::assertEqualsWithDelta((0.5 * 105) / $full->supplyAmps, $row->runTime?->value, 1e-9);
        // 12 mA standing by and 4 % of 105 Ah in 720 hours take half of it.
        self::assertEqualsWithDelta(52.5 / (0.012 + (0.04 * 105) / 720) / 24, $row->standby?->value, 1e-6);
        self::assertStringContainsString('no soldering on a battery', $row->notes[0]);
        [$mains] = SupplyRows::for(
            new JobState(
                Demo::run(
                    metres: '2.00',
                    strip: 'strip-single-24',
                    supply: 'supply-24-240',
                    controller: 'controller-zigbee-1',
                    cable: 'cable-2x25',
                ),
                [],
                Demo::shelf(),
                [],
            ),
        );
        self::assertSame(
            [null, null, null, false],
            [$mains->average, $mains->peak, $mains->runTime, $mains->battery],
            'nothing is solved',
        );
    }
}
