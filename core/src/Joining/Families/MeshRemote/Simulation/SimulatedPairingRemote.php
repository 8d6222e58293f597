<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\MeshRemote\Simulation;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\Families\Mesh\Simulation\SimulatedMeshNode;
use EmberDusk\Joining\Simulation\SimulatedDevice;
use EmberDusk\Joining\Simulation\SimulatedLight;

/** Simulated remote that is linked to mesh controllers in turn: a zone takes the one opened last. */
final class SimulatedPairingRemote extends SimulatedDevice
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
        if ($name !== 'link' || $this->site->has('too-far', $this->unit->id)) {
            return;
        }
        foreach ($this->site->devices() as $device) {
            if ($device instanceof SimulatedMeshNode && $device->pair($this->unit->id, $this->zone, $at)) {
                $this->show('linked', $at);
            }
        }
    }

    public function reaches(SimulatedLight $light, string $meant, int $zone): bool
    {
        return $this->awake() && $light instanceof SimulatedMeshNode && $light->zoneOf($this->unit->id) === $zone;
    }
}
