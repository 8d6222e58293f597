<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Zigbee\StandIn;

use EmberDusk\Kit\Profiles\ControllerProfile;
use EmberDusk\Kit\Profiles\Signal;

/**
 * Stands in for a Zigbee controller: reset by key presses, a listening window after reset or power-up, a confirmation
 * on the load. Times are run seconds and only go forward.
 */
final class ZigbeeController
{
    private bool $powered = false;

    private bool $lit = true;

    /** @var list<float> */
    private array $presses = [];

    private ?float $listensFrom = null;

    private ?Signal $signal = null;

    private float $signalFrom = 0.0;

    /** @param  string|null  $network the network it is in; one that it was sold or used with, when the box was opened before */
    public function __construct(private readonly ControllerProfile $profile, private ?string $network = null) {}

    public function powerOn(float $at): void
    {
        if (!$this->powered) {
            $this->powered = true;
            $this->presses = [];
            $this->listensFrom = $this->network === null ? $at : null;
        }
    }

    public function powerOff(): void
    {
        $this->powered = false;
        $this->listensFrom = null;
        $this->signal = null;
    }

    public function press(float $at): void
    {
        if (!$this->powered) {
            return;
        }
        $this->presses[] = $at;
        $last = array_slice($this->presses, -$this->profile->presses);
        if (count($last) === $this->profile->presses && $at - $last[0] <= $this->profile->pressesWithin + 1e-9) {
            $this->presses = [];
            $this->network = null;
            $this->listensFrom = $at;
            $this->show($this->profile->resetDone, $at);
        }
    }

    /** When it began to listen, if it still listens at that time. */
    public function listensSince(float $at): ?float
    {
        if ($this->listensFrom !== null && $at <= $this->listensFrom + $this->profile->listens + 1e-9) {
            return $this->listensFrom;
        }

        return null;
    }

    public function listensUntil(): ?float
    {
        if ($this->listensFrom === null) {
            return null;
        }

        return $this->listensFrom + $this->profile->listens;
    }

    public function join(string $network, float $at): void
    {
        $this->network = $network;
        $this->listensFrom = null;
        $this->lit = true;
        $this->show($this->profile->joined, $at);
    }

    public function isIn(string $network): bool
    {
        return $this->network === $network;
    }

    public function isPowered(): bool
    {
        return $this->powered;
    }

    public function toggle(): void
    {
        $this->lit = !$this->lit;
    }

    /** Whether its load is lit. A signal goes before what was commanded. */
    public function litAt(float $at): bool
    {
        if (!$this->powered) {
            return false;
        }
        $since = $at - $this->signalFrom;
        if ($this->signal !== null && $since >= 0 && $since < $this->signal->seconds()) {
            return $this->signal->litAt($since);
        }

        return $this->lit;
    }

    /** @return array{float, Signal}|null the latest signal and when it began */
    public function signal(): ?array
    {
        if ($this->signal === null) {
            return null;
        }

        return [$this->signalFrom, $this->signal];
    }

    private function show(Signal $signal, float $at): void
    {
        $this->signal = $signal;
        $this->signalFrom = $at;
    }
}
