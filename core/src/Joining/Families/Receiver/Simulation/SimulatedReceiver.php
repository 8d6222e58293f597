<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Receiver\Simulation;

use EmberDusk\Joining\Simulation\SimulatedLight;
use EmberDusk\Joining\Simulation\Trap;

/**
 * Simulated 2.4 GHz receiver: a learn key opens it for a while; it also takes the zone of a remote or a bridge within seconds of power-on. It
 * responds to its bound controls only.
 */
final class SimulatedReceiver extends SimulatedLight
{
    /** Expected input. */
    private const SWIPE = 'the app’s key';

    private const ZONE = 'a zone';

    /** @var array{float, float}|null */
    private ?array $learns = null;

    /** @var array<string, int> zone by control; 0 where the control has none */
    private array $bound = [];

    private int $tries = 0;

    protected function gesture(string $name, float $at): void
    {
        if ($name === 'join') {
            $listens = $this->unit->leaflet->seconds('listens');
            $this->learns = [$at, $at + ($this->site->catches(Trap::Window) ? $listens : 86_400.0)];
            $this->await(self::SWIPE, ...$this->learns);
        }
        if ($name === 'reset') {
            $this->bound = [];
            $this->learns = null;
            $this->show('resetDone', $at);
        }
    }

    public function power(bool $on, float $at): void
    {
        $was = $this->powered;
        parent::power($on, $at);
        if ($on && $this->powered && !$was) {
            $this->await(self::ZONE, $at, $at + $this->soon());
        }
        if (!$on) {
            $this->learns = null;
        } elseif ($this->unit->used || $this->site->has('old-hub', $this->unit->id)) {
            $this->show('held', $at);
        }
    }

    /** Whether it is bound now to what asks: opened by its learn key, or fresh from power-on. */
    public function bind(string $control, int $zone, float $at): bool
    {
        $learning = $this->learns !== null && $at >= $this->learns[0] - 1e-9 && $at <= $this->learns[1] + 1e-9;
        if (!$this->awake() || ($zone === 0 ? !$learning : !$this->isFresh($at))) {
            return false;
        }
        // The first try fails once in a while, with nothing wrong.
        if ($this->tries++ === 0 && $this->site->has('missed-once', $this->unit->id)) {
            return false;
        }
        $this->bound[$control] = $zone;
        $this->caught($zone === 0 ? self::SWIPE : self::ZONE, $at);
        $this->show('linked', $at);

        return true;
    }

    /** Within the seconds after power-on in which it takes a zone. */
    private function isFresh(float $at): bool
    {
        return !$this->site->catches(Trap::Soon) || $at <= $this->poweredAt + $this->soon() + 1e-9;
    }

    private function soon(): float
    {
        return $this->unit->leaflet->figure('soon') ?? 4.0;
    }

    public function zoneOf(string $control): ?int
    {
        return $this->bound[$control] ?? null;
    }
}
