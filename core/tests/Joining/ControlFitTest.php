<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Checks\Kit\HubAsked;
use EmberDusk\Joining\ControlFit;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\TestCase;

final class ControlFitTest extends TestCase
{
    private static function fit(Plan $plan, string $kit): ?string
    {
        return ControlFit::misfit($plan, Demo::shelf()->find($kit) ?? self::fail("no {$kit}"));
    }

    public function test_hubs_remotes_and_panels_of_another_way_say_so(): void
    {
        $zigbee = Demo::run('4.00', 'strip-tunable-24', 'supply-24-150', 'controller-zigbee-2', 'cable-3x15');
        self::assertNull(self::fit($zigbee, 'hub-zigbee-short'));
        self::assertNull(self::fit($zigbee, 'remote-zigbee-4'));
        self::assertSame('Speaks 2.4 GHz; the lights of this job speak Zigbee.', self::fit($zigbee, 'remote-rf-8'));
        $rf = Demo::run('4.00', 'strip-tunable-24', 'supply-24-150', 'controller-rf-2', 'cable-3x15');
        self::assertSame('Speaks Zigbee; the lights of this job speak 2.4 GHz.', self::fit($rf, 'hub-zigbee-short'));
        self::assertNull(self::fit($rf, 'remote-rf-8'));
    }

    public function test_says_nothing_without_a_light_or_about_other_kit(): void
    {
        $empty = new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]);
        self::assertNull(self::fit($empty, 'hub-zigbee-short'));
        $zigbee = Demo::run('4.00', 'strip-tunable-24', 'supply-24-150', 'controller-zigbee-2', 'cable-3x15');
        self::assertNull(self::fit($zigbee, 'supply-24-150'));
    }

    /** A remote that works every controller makes a hub a choice; taking the hub out of such a job leaves no open point. */
    public function test_a_hub_is_asked_for_where_a_controller_has_no_other_control(): void
    {
        $plan = Demo::run('4.00', 'strip-tunable-24', 'supply-24-150', 'controller-zigbee-2', 'cable-3x15');
        self::assertSame(['c1'], HubAsked::uncontrolled($plan));
        $hub = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => '', 'kit' => 'hub-zigbee-short']);
        self::assertSame([], HubAsked::uncontrolled($hub));
        $remote = ['kind' => 'SetItem', 'kit' => 'remote-zigbee-4', 'place' => 'room', 'count' => 1];
        $without = Demo::with($hub, $remote, ['kind' => 'RemoveHub']);
        self::assertSame([[], []], [$without->hubs, HubAsked::uncontrolled($without)]);
        self::assertSame(['c1'], HubAsked::uncontrolled(Demo::with($hub, ['kind' => 'RemoveHub'])));
    }
}
