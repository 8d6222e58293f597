<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Bridge\Simulation;

use EmberDusk\Joining\Families\Receiver\Simulation\SimulatedReceiver;
use EmberDusk\Joining\Simulation\SimulatedDevice;
use EmberDusk\Joining\Simulation\SimulatedLight;
use EmberDusk\Joining\Simulation\Trap;

/**
 * Simulated Wi-Fi bridge with zones: it joins the site's network while a countdown of the app runs, then each zone takes a receiver that was just
 * powered. Any number of phones may use it.
 */
final class SimulatedBridge extends SimulatedDevice
{
    /** Condition of its countdown. */
    private const APP = 'the app';

    private ?float $pressedAt = null;

    private bool $online = false;

    /** @var array<string, bool> whether the kind of a linked light was right at its link */
    private array $matches = [];

    /** @var array<string, true> lights whose kind of controller was chosen in the app before their link */
    private array $styles = [];

    protected function gesture(string $name, float $at): void
    {
        if ($name === 'reset') {
            $this->online = false;
            $this->pressedAt = null;
            $this->show('resetDone', $at);
        }
        if ($name === 'join') {
            $this->pressedAt = $at;
            $this->await(self::APP, $at, $at + $this->countdown());
            $this->show('looks', $at);
        }
    }

    public function tap(string $key, string $given, float $at): void
    {
        $finds = $this->site->phone()->onNetwork() && !$this->site->has('wrong-app', $this->unit->id);
        if ($key === 'connect' && $this->pressedAt !== null && $finds) {
            if (!$this->site->catches(Trap::Window) || $at <= $this->pressedAt + $this->countdown() + 1e-9) {
                $this->online = true;
                $this->caught(self::APP, $at);
                $this->show('joined', $at);
            }
        }
        if ($key === 'style') {
            $this->styles[$given] = true;
        }
        if ($key === 'zone' && $this->online) {
            [$light, $zone] = [...explode(' ', $given), '1'];
            $receiver = $this->site->device($light);
            if ($receiver instanceof SimulatedReceiver && $receiver->bind($this->unit->id, max(1, (int) $zone), $at)) {
                $this->matches[$light] = isset($this->styles[$light]);
            }
        }
    }

    private function countdown(): float
    {
        return $this->unit->leaflet->figure('countdown') ?? 60.0;
    }

    public function says(string $what): bool
    {
        return $what === 'online' && $this->online;
    }

    public function reaches(SimulatedLight $light, string $meant, int $zone): bool
    {
        return $this->online &&
            $light instanceof SimulatedReceiver &&
            $light->zoneOf($this->unit->id) === $zone &&
            ($this->matches[$light->unit->id] ?? false) &&
            !$this->site->has('wrong-style', $light->unit->id);
    }
}
