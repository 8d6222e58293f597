<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Plan;

use EmberDusk\Checks\Fixture\Modules;
use EmberDusk\Plan\Routes\ControlLine;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Control lines of dimming modules: volts lost, addresses, and what becomes of a line when its module changes. */
final class ControlLineTest extends TestCase
{
    private static function bus(): Circuits
    {
        return Circuits::in()
            ->module('m1', ['kind' => 'dali', 'milliamps' => 250, 'addresses' => 64, 'family' => 'zigbee'])
            ->fixture('x1', 5, ['dim' => 'dali', 'volts' => 230.0], 'm1')
            ->fixture('x2', 1, ['dim' => 'dali', 'volts' => 230.0], 'm1')
            ->fixture('x3', 3, ['dim' => 'dali', 'volts' => 230.0], 'm1');
    }

    /**
     * Longest DALI lines by size, as installation guides print them for 2 V at 250 mA and 20 °C (from memory); ohms of a kilometre by
     * IEC 60228, from memory.
     */
    #[TestWith([100.0, 39.0])]
    #[TestWith([150.0, 26.0])]
    #[TestWith([200.0, 19.5])]
    #[TestWith([300.0, 13.3])]
    public function test_printed_lengths_lose_just_two_volts(float $metres, float $perKilometre): void
    {
        $line = ControlLine::of(self::bus()->plan(), 'm1');
        self::assertNotNull($line);
        self::assertEqualsWithDelta(2.0, $line->drop('x1', ($metres * $perKilometre) / 1000), 0.06);
    }

    public function test_addresses_and_groups_follow_one_another(): void
    {
        $line = ControlLine::of(self::bus()->plan(), 'm1');
        self::assertNotNull($line);
        self::assertSame(
            ['addresses 0 to 4, group 0', 'address 5, group 1', 'addresses 6 to 8, group 2'],
            array_map($line->addresses(...), ['x1', 'x2', 'x3']),
        );
    }

    public function test_lamps_of_a_phase_cut_module_have_no_control_line(): void
    {
        $cut = Circuits::in()
            ->module('m1', ['kind' => 'phasecut', 'mostWatts' => 200, 'leastWatts' => 5, 'family' => 'zigbee'])
            ->fixture('x1', 5, ['dim' => 'phase-cut', 'volts' => 230.0], 'm1');
        self::assertNull(ControlLine::of($cut->plan(), 'm1'));
        $this->expectException(Refusal::class);
        Demo::with($cut->plan(), ['kind' => 'HangFixture', 'fixture' => 'x1', 'on' => 'm1', 'kit' => 'cable-2x15']);
    }

    public function test_no_fuse_belongs_in_a_control_line(): void
    {
        $laid = Demo::with(self::bus()->plan(), [
            'kind' => 'HangFixture',
            'fixture' => 'x2',
            'on' => 'm1',
            'kit' => 'cable-2x15',
        ]);
        $cable = $laid->ways()->cableTo('x2');
        $this->expectExceptionMessage('comes from a dimming module');
        Demo::with($laid, ['kind' => 'SetCable', 'cable' => $cable?->id, 'fuse' => 'fuse-3']);
    }

    public function test_a_line_stays_with_its_fixtures_when_their_module_changes(): void
    {
        $laid = Demo::with(
            self::bus()->plan(),
            ['kind' => 'HangFixture', 'fixture' => 'x2', 'on' => 'm1', 'kit' => 'cable-2x15'],
            ['kind' => 'ChooseModule', 'fixture' => 'x2', 'kit' => 'dali-zigbee'],
        );
        $cable = $laid->ways()->cableTo('x2');
        self::assertSame(['m2', 'm2'], [$laid->fixtures['x2']->module, $cable?->from]);
        // Without fixtures there is no line, and no module.
        $place = $laid->fixtures['x2']->place;
        $gone = Demo::with($laid, [
            'kind' => 'SetFixture',
            'fixture' => 'x2',
            'kit' => 'fixture-dali',
            'place' => $place,
            'count' => 0,
        ]);
        self::assertSame([[], ['m1']], [array_keys($gone->cables), array_keys($gone->modules)]);
    }

    public function test_a_module_with_a_switch_does_either_method_and_not_both(): void
    {
        $plan = Circuits::in()
            ->module('m1', [
                'kind' => 'analog',
                'milliamps' => 60,
                'outputs' => 1,
                'addresses' => 20,
                'setBy' => 'switch',
                'family' => 'zigbee',
            ])
            ->fixture('x1', 5, ['dim' => 'dali', 'volts' => 230.0], 'm1');
        self::assertSame('dali', ControlLine::of($plan->plan(), 'm1')?->method);
        $both = $plan->fixture('x2', 1, ['dim' => '0-10 V', 'volts' => 230.0], 'm1');
        self::assertContains('module-kind', array_column((new Modules())->for($both->plan(), null), 'code'));
        self::assertNotContains('module-kind', array_column((new Modules())->for($plan->plan(), null), 'code'));
        $set = Demo::with($plan->plan(), ['kind' => 'SetSwitch', 'controller' => 'm1', 'setting' => 'dali']);
        self::assertSame('dali', $set->modules['m1']->setting);
        $this->expectException(Refusal::class);
        Demo::with($plan->plan(), ['kind' => 'SetSwitch', 'controller' => 'm1', 'setting' => 'phase-cut']);
    }
}
