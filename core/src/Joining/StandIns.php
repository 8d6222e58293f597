<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Kit\Profiles\Signal;

/** Simulated devices of a site at one moment: what somebody who stands there would see. A real adapter could answer alike. */
interface StandIns
{
    public function isPowered(string $device): bool;

    public function isLit(string $device): bool;

    /** @return array{float, Signal}|null the latest signal of a device and when it began */
    public function signal(string $device): ?array;

    /** @return array<string, string> what the app lists, by device */
    public function list(): array;

    /** The next time at which something shows by itself; null when nothing will. */
    public function nextChange(): ?float;
}
