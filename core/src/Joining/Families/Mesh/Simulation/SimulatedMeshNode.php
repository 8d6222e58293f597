<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Mesh\Simulation;

use EmberDusk\Joining\Simulation\SimulatedLight;
use EmberDusk\Joining\Simulation\Trap;

/**
 * Simulated Bluetooth mesh controller: its gesture answers a search of the app, and each node relays for the next. The same gesture opens it to a
 * remote while no search runs.
 */
final class SimulatedMeshNode extends SimulatedLight
{
    /** Expected input. */
    private const ZONE = 'a zone';

    private bool $inMesh = false;

    private ?float $opened = null;

    /** @var array<string, int> zone by remote */
    private array $remotes = [];

    private int $tries = 0;

    protected function gesture(string $name, float $at): void
    {
        if ($name === 'reset') {
            $this->inMesh = false;
            $this->remotes = [];
            $this->show('resetDone', $at);
        }
        if ($name !== 'join') {
            return;
        }
        $search = $this->search($at);
        $this->opened = $search === null || !$this->site->catches(Trap::MeshSearch) ? $at : null;
        if ($this->opened !== null) {
            $this->await(self::ZONE, $at, $at + $this->listens());
        }
        if ($search === null) {
            return;
        }
        if ($this->tries++ === 0 && $this->site->has('missed-once', $this->unit->id)) {
            return;
        }
        if ($this->hears()) {
            $this->inMesh = true;
            $this->show('joined', $at);
        }
    }

    /** @return array{float, float}|null a search of the app that runs, or was forgotten and runs on */
    private function search(float $at): ?array
    {
        foreach ($this->site->devices() as $device) {
            $search = $device->opens('mesh', $at);
            if ($search !== null) {
                return $search;
            }
            if ($this->site->has('both-at-once', $device->unit->id)) {
                return [$at, $at];
            }
        }

        return null;
    }

    /** Whether a node that is in the mesh, or the phone beside the first, is near enough. */
    private function hears(): bool
    {
        if (!$this->site->catches(Trap::Reach)) {
            return true;
        }
        if ($this->site->has('weak-mesh', $this->unit->id)) {
            return false;
        }
        $range = $this->unit->leaflet->figure('range') ?? 25.0;
        $others = array_filter(
            $this->site->devices(),
            fn($d): bool => $d instanceof self && $d !== $this && $d->inMesh,
        );
        foreach ($others as $node) {
            if ($this->site->roster->metres($node->unit->id, $this->unit->id) <= $range) {
                return true;
            }
        }

        return $others === [];
    }

    /** Whether it takes the zone of a remote now. */
    public function pair(string $remote, int $zone, float $at): bool
    {
        if (!$this->awake() || $this->opened === null || $at > $this->opened + $this->listens() + 1e-9) {
            return false;
        }
        $this->remotes[$remote] = $zone;
        $this->opened = null;
        $this->caught(self::ZONE, $at);
        $this->show('linked', $at);

        return true;
    }

    private function listens(): float
    {
        if ($this->site->catches(Trap::Window)) {
            return $this->unit->leaflet->figure('linkListens') ?? 10.0;
        }

        return 86_400.0;
    }

    public function zoneOf(string $remote): ?int
    {
        return $this->remotes[$remote] ?? null;
    }

    public function answersPhone(): bool
    {
        return $this->inMesh;
    }
}
