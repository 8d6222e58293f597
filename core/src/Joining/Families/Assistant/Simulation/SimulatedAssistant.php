<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Assistant\Simulation;

use EmberDusk\Joining\Families\Hub\Simulation\SimulatedHub;
use EmberDusk\Joining\Simulation\SimulatedDevice;
use EmberDusk\Joining\Simulation\SimulatedLight;
use EmberDusk\Joining\Simulation\Trap;

/** Simulated voice assistant that reads a hub: it knows names only, as of the end of its search. */
final class SimulatedAssistant extends SimulatedDevice
{
    private ?string $hub = null;

    private ?float $searchEnds = null;

    /** @var array<string, string>|null names by device; null before a search */
    private ?array $knows = null;

    public function tap(string $key, string $given, float $at): void
    {
        if ($key === 'link') {
            $this->hub = $given;
        }
        if ($key === 'search' && $this->hub !== null) {
            $this->searchEnds = $at + $this->unit->leaflet->seconds('search');
        }
    }

    public function next(): ?float
    {
        return $this->searchEnds ?? parent::next();
    }

    public function advance(float $to): void
    {
        if ($this->searchEnds !== null && $this->searchEnds <= $to + 1e-9) {
            $this->searchEnds = null;
            $this->knows = $this->readable()?->read() ?? [];
        }
    }

    /** How many it says that it has found; null before its search ends. */
    public function found(): ?int
    {
        if ($this->knows === null) {
            return null;
        }

        return count($this->knows);
    }

    public function says(string $what): bool
    {
        $wanted = count($this->site->roster->wantsOf($this->unit->id));

        $reads = !$this->site->catches(Trap::NamesAtSearch) && $this->readable() !== null;

        return $what === 'found' && ($reads || ($this->found() ?? -1) >= $wanted);
    }

    private function readable(): ?SimulatedHub
    {
        $hub =
            $this->hub !== null && !$this->site->has('not-linked', $this->unit->id)
                ? $this->site->device($this->hub)
                : null;

        if ($hub instanceof SimulatedHub) {
            return $hub;
        }

        return null;
    }

    public function reaches(SimulatedLight $light, string $meant, int $zone): bool
    {
        $hub = $this->readable();
        if (!$this->site->phone()->hasInternet() || $hub === null || !$hub->reaches($light, $meant, $zone)) {
            return false;
        }

        // People say the name that the light has now.
        return !$this->site->catches(Trap::NamesAtSearch) ||
            (isset($this->knows[$meant]) && $this->knows[$meant] === ($hub->read()[$meant] ?? null));
    }
}
