<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Simulation;

use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Unit;

/** A simulated device with a load: it obeys commands, as well as its wiring and settings let it. */
abstract class SimulatedLight extends SimulatedDevice
{
    /** Level from 0 to 1; unjoined, a controller only lights. */
    private float $level = 1.0;

    /** Level above which a supply that is too weak for white gives way. */
    private const WHITE = 0.95;

    public function __construct(Unit $unit, SimulatedSite $site)
    {
        parent::__construct($unit, $site);
        $this->powered = false;
    }

    public function power(bool $on, float $at): void
    {
        parent::power($on, $at);
        if ($on) {
            $this->level = 1.0;
        }
    }

    /** Whether it took the command. */
    public function obey(LightCommand $command): bool
    {
        if (!$this->awake()) {
            return false;
        }
        $this->level = $command->level;

        return true;
    }

    /** From 0 to 1. */
    public function level(): float
    {
        if ($this->awake()) {
            return $this->level;
        }

        return 0.0;
    }

    /** On where it was off, off where it was on. */
    public function toggle(): void
    {
        $this->obey(new LightCommand($this->level > 0.0 ? 0.0 : 1.0));
    }

    /** Appearance of the load after this command. */
    public function looks(LightCommand $command): Observation
    {
        $lit = $this->awake() ? $this->level : 0.0;
        if (abs($lit - $command->level) > 0.01) {
            return Observation::Nothing;
        }
        if ($lit <= 0.0) {
            return Observation::Expected;
        }

        return match (true) {
            $this->loose() => $this->unit->kind === 'single' ? Observation::Nothing : Observation::Part,
            $lit > self::WHITE && $this->site->has('brown-out', $this->unit->id) => Observation::Nothing,
            $this->site->has('supply-low', $this->unit->id) => Observation::Dim,
            $this->site->has('leads-swapped', $this->unit->id) && $this->unit->kind !== 'single' => Observation::Wrong,
            $this->site->has('wrong-setting', $this->unit->id) => Observation::Wrong,
            default => $this->coloured(),
        };
    }

    /** Whether a phone that works it directly reaches it. */
    public function answersPhone(): bool
    {
        return false;
    }

    /** How its colours come out as its family is set up. */
    protected function coloured(): Observation
    {
        return Observation::Expected;
    }

    private function loose(): bool
    {
        return $this->site->has('lead-loose', $this->unit->id);
    }

    /** A load of one channel whose lead is loose shows no signal either. */
    protected function visible(): bool
    {
        return parent::visible() && !($this->loose() && $this->unit->kind === 'single');
    }

    public function isLit(float $at): bool
    {
        if (!$this->awake() || ($this->loose() && $this->unit->kind === 'single')) {
            return false;
        }

        return $this->litBySignal($at) ?? $this->level > 0.0;
    }
}
