<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Receiver\Simulation;

use EmberDusk\Joining\Simulation\SimulatedDevice;
use EmberDusk\Joining\Simulation\SimulatedLight;
use EmberDusk\Joining\Simulation\Trap;

/** Simulated 2.4 GHz hub with its settings in one phone: only that phone controls its lights. */
final class SimulatedPhoneHub extends SimulatedDevice
{
    private bool $entered = false;

    /** @var array<string, bool> lights that it lists, and whether the phone that bound them stays */
    private array $lights = [];

    /** @var array<string, true> lights whose kind was chosen in the app */
    private array $kinds = [];

    public function tap(string $key, string $given, float $at): void
    {
        $phone = $this->site->phone();
        if ($key === 'enter') {
            // The phone leaves the site's network for the unit's own.
            $this->entered = !$this->site->has('other-network', $phone->unit->id);
        }
        if (!$this->entered || $this->site->has('second-phone', $this->unit->id)) {
            return;
        }
        if ($key === 'kind') {
            $this->kinds[$given] = true;
        }
        if ($key === 'swipe' && isset($this->kinds[$given])) {
            $light = $this->site->device($given);
            $range = $this->unit->leaflet->figure('range') ?? 30.0;
            $away = $this->site->roster->metres($this->unit->id, $given);
            if ($light instanceof SimulatedReceiver && (!$this->site->catches(Trap::Reach) || $away <= $range)) {
                if ($light->bind($this->unit->id, 0, $at)) {
                    $this->lights[$given] = $phone->stays();
                }
            }
        }
    }

    public function says(string $what): bool
    {
        return $what === 'entered' && $this->entered && !$this->site->has('second-phone', $this->unit->id);
    }

    public function list(): array
    {
        $list = [];
        foreach (array_keys($this->lights) as $n => $id) {
            $list[$id] = [str_replace('#', (string) ($n + 1), $this->unit->leaflet->numbering)];
        }

        return $list;
    }

    public function reaches(SimulatedLight $light, string $meant, int $zone): bool
    {
        $id = $light->unit->id;

        return $this->awake() &&
            $id === $meant &&
            $light instanceof SimulatedReceiver &&
            $light->zoneOf($this->unit->id) === 0 &&
            !$this->site->has('wrong-style', $id) &&
            (($this->lights[$id] ?? false) || !$this->site->catches(Trap::OnePhone));
    }
}
