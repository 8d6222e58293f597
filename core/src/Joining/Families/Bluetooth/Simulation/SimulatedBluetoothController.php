<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Bluetooth\Simulation;

use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Simulation\SimulatedLight;

/** Simulated Bluetooth controller for direct phone control: its lamp is quick while it is free, slow once a phone is connected; one at a time. */
final class SimulatedBluetoothController extends SimulatedLight
{
    private bool $connected = false;

    private bool $typed = false;

    private int $tries = 0;

    public function power(bool $on, float $at): void
    {
        parent::power($on, $at);
        $this->connected = $this->connected && $this->powered;
        if ($on) {
            $this->show($this->taken() ? 'held' : 'waits', $at);
        }
    }

    /** Another phone has it. */
    private function taken(): bool
    {
        return $this->site->has('second-phone', $this->unit->id);
    }

    public function tap(string $key, string $given, float $at): void
    {
        if ($key === 'connect' && $this->awake() && !$this->taken() && !$this->site->has('pin-set', $this->unit->id)) {
            if ($this->tries++ === 0 && $this->site->has('missed-once', $this->unit->id)) {
                return;
            }
            $this->connected = true;
            $this->show('joined', $at);
        }
        if ($key === 'type' && $this->connected) {
            $this->typed = true;
        }
    }

    public function says(string $what): bool
    {
        return $what === 'typed' && $this->typed;
    }

    public function answersPhone(): bool
    {
        // A phone that had it once takes it again automatically when its power is back.
        return $this->awake() && $this->typed && !$this->taken() && $this->site->phone()->stays();
    }

    protected function coloured(): Observation
    {
        if ($this->site->has('wrong-style', $this->unit->id)) {
            return Observation::Wrong;
        }

        return Observation::Expected;
    }
}
