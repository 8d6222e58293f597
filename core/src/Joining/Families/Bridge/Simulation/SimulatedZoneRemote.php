<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Bridge\Simulation;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\Families\Receiver\Simulation\SimulatedReceiver;
use EmberDusk\Joining\Simulation\SimulatedDevice;
use EmberDusk\Joining\Simulation\SimulatedLight;
use EmberDusk\Joining\Simulation\Trap;

/** Simulated 2.4 GHz remote or panel: a zone takes every nearby receiver that was just powered. */
final class SimulatedZoneRemote extends SimulatedDevice
{
    private int $zone = 1;

    public function put(string $kind, string $text, float $at): void
    {
        $words = explode(' ', $text);
        if ($kind === Act::SET && $words[0] === 'zone') {
            $this->zone = max(1, min(max(1, $this->unit->zones), (int) ($words[1] ?? 1)));
        }
    }

    protected function gesture(string $name, float $at): void
    {
        if ($name !== 'link') {
            return;
        }
        foreach ($this->site->devices() as $device) {
            $far = $this->site->has('too-far', $this->unit->id) && $this->site->catches(Trap::Distance);
            if ($device instanceof SimulatedReceiver && !$far) {
                $device->bind($this->unit->id, $this->zone, $at);
            }
        }
        $this->show('linked', $at);
    }

    public function reaches(SimulatedLight $light, string $meant, int $zone): bool
    {
        return $this->awake() && $light instanceof SimulatedReceiver && $light->zoneOf($this->unit->id) === $zone;
    }
}
