<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Board\Simulation;

use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Simulation\SimulatedLight;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\Unit;

/**
 * Simulated Wi-Fi board: a data lead gives it the network, after a reboot its page opens at its address; order and count are set there. A router may
 * give it another address.
 */
final class SimulatedBoard extends SimulatedLight
{
    /** It has the network, and its settings: one that was joined before keeps both. */
    private bool $given;

    private bool $set;

    private bool $booted = false;

    public function __construct(Unit $unit, SimulatedSite $site)
    {
        parent::__construct($unit, $site);
        $this->given = $this->set = $unit->member !== '';
    }

    public function power(bool $on, float $at): void
    {
        parent::power($on, $at);
        if ($on && $this->powered) {
            $this->booted = $this->given;
            $this->show($this->given ? 'held' : 'alone', $at);
        }
    }

    public function tap(string $key, string $given, float $at): void
    {
        if ($key === 'give' && $this->awake() && !$this->site->has('charge-lead', $this->unit->id)) {
            $this->given = true;
        }
        if ($key === 'set' && $this->pageOpens()) {
            $this->set = true;
        }
    }

    private function pageOpens(): bool
    {
        return $this->awake() &&
            $this->booted &&
            $this->site->phone()->onNetwork() &&
            !$this->site->has('new-address', $this->unit->id);
    }

    public function says(string $what): bool
    {
        return match ($what) {
            'given' => $this->given,
            'page' => $this->pageOpens(),
            'set' => $this->set,
            default => false,
        };
    }

    public function answersPhone(): bool
    {
        return $this->pageOpens() && $this->set;
    }

    protected function coloured(): Observation
    {
        return match (true) {
            $this->site->has('wrong-order', $this->unit->id) => Observation::Wrong,
            $this->site->has('wrong-count', $this->unit->id) => Observation::Part,
            default => Observation::Expected,
        };
    }
}
