<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Cloud\Simulation;

use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Simulation\SimulatedLight;

/** Simulated controller that works through an account on the internet: without it nothing responds. */
final class SimulatedCloudBoard extends SimulatedLight
{
    private bool $looks = false;

    private bool $live = false;

    private int $tries = 0;

    protected function gesture(string $name, float $at): void
    {
        if ($name === 'reset') {
            $this->looks = true;
            $this->live = false;
            $this->show('resetDone', $at);
        }
    }

    public function tap(string $key, string $given, float $at): void
    {
        if ($key !== 'give' || !$this->awake() || !$this->looks || !$this->site->phone()->onNetwork()) {
            return;
        }
        if ($this->tries++ === 0 && $this->site->has('missed-once', $this->unit->id)) {
            return;
        }
        if (!$this->site->has('no-account', $this->unit->id) && !$this->site->has('offline', $this->unit->id)) {
            $this->live = true;
            $this->show('joined', $at);
        }
    }

    public function says(string $what): bool
    {
        return $what === 'live' && $this->answersPhone();
    }

    public function answersPhone(): bool
    {
        return $this->live && $this->site->phone()->hasInternet() && !$this->site->has('offline', $this->unit->id);
    }

    protected function coloured(): Observation
    {
        if ($this->site->has('wrong-style', $this->unit->id)) {
            return Observation::Wrong;
        }

        return Observation::Expected;
    }
}
