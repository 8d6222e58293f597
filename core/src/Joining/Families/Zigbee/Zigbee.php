<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Zigbee;

use EmberDusk\Joining\Families\Zigbee\StandIn\Site;
use EmberDusk\Joining\Family;
use EmberDusk\Joining\Kit;
use EmberDusk\Joining\StandIns;
use EmberDusk\Joining\Step;

/** Zigbee controllers that a hub finds while they listen after a reset. */
final readonly class Zigbee implements Family
{
    public function next(Kit $kit, array $log, float $now): Step
    {
        return Guide::next($kit, $log, $now);
    }

    public function notices(Kit $kit, array $log, float $now): array
    {
        return Guide::notices($kit, $log, $now);
    }

    public function listedAs(string $device, Kit $kit, array $log): ?string
    {
        return Attempt::of($device, $kit, $log)->listedAs;
    }

    public function searches(Kit $kit, array $log): array
    {
        return Windows::searches($kit, $log);
    }

    public function listening(Kit $kit, string $device, array $log): array
    {
        return Windows::listening($kit, $device, $log);
    }

    public function standIns(Kit $kit, int $seed, array $log, float $now): StandIns
    {
        return Site::after($kit, $seed, $log, $now);
    }
}
