<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Hub\Simulation;

use EmberDusk\Joining\Families\Zigbee\Simulation\SimulatedController;
use EmberDusk\Joining\Simulation\SimulatedDevice;
use EmberDusk\Joining\Simulation\SimulatedLight;
use EmberDusk\Joining\Simulation\Trap;

/** Simulated hub and its phone app: a search of limited length, a maximum number of lights, and a delayed list. */
final class SimulatedHub extends SimulatedDevice
{
    /** @var array{float, float}|null */
    private ?array $search = null;

    /** @var array<string, array{float, list<string>}> by device: when the app lists it, and as what */
    private array $entries = [];

    /** @var array<string, string> names that were given, by device */
    private array $names = [];

    /** Lines that a hub in use still lists for lights that are gone. */
    private const DEAD = 2;

    /** @var list<array{float, string}> lights that its app has switched and that have not answered yet: when they do */
    private array $late = [];

    public function deadLines(): array
    {
        return array_map(
            fn(int $n): string => str_replace('#', (string) $n, $this->unit->leaflet->numbering),
            $this->unit->used ? range(1, self::DEAD) : [],
        );
    }

    public function tap(string $key, string $given, float $at): void
    {
        match ($key) {
            'search' => ($this->search = [$at, $at + $this->unit->leaflet->seconds('search')]),
            'end' => ($this->search = null),
            'toggle' => $this->toggle($given, $at),
            'name' => $this->name(...explode('=', $given, 2)),
            default => null,
        };
    }

    private function toggle(string $entry, float $at): void
    {
        $id = $this->behind($entry);
        if ($id !== null) {
            $this->late[] = [$at + ($this->unit->leaflet->figure('late') ?? 0.0), $id];
            $this->advance($at);
        }
    }

    public function advance(float $to): void
    {
        $due = array_filter($this->late, static fn(array $late): bool => $late[0] <= $to + 1e-9);
        $this->late = array_values(array_diff_key($this->late, $due));
        foreach ($due as [, $id]) {
            $light = $this->site->device($id);
            if ($light instanceof SimulatedLight && $this->reaches($light, $id, 0)) {
                $light->toggle();
            }
        }
    }

    private function name(string $entry, string $name = ''): void
    {
        $id = $this->behind($entry);
        if ($id !== null) {
            $this->names[$id] = $name;
        }
    }

    /** The device behind a line of the list. */
    private function behind(string $entry): ?string
    {
        foreach ($this->list() as $device => $names) {
            if (in_array($entry, $names, true)) {
                return $device;
            }
        }

        return null;
    }

    public function opens(string $way, float $at): ?array
    {
        $open = in_array($way, $this->unit->speaks, true) && $this->search !== null && $at <= $this->search[1] + 1e-9;

        if ($open) {
            return $this->search;
        }

        return null;
    }

    public function admit(SimulatedDevice $device, float $at): bool
    {
        $lights = array_filter(
            array_keys($this->entries),
            fn(string $d): bool => $this->site->roster->unit($d)->lights(),
        );
        $full = $this->unit->most !== null && $device->unit->lights() && count($lights) >= $this->unit->most;
        if ($full && $this->site->catches(Trap::Capacity) && !isset($this->entries[$device->unit->id])) {
            return false;
        }
        $id = $device->unit->id;
        unset($this->entries[$id], $this->names[$id]);
        $lag = $this->site->dice->between(
            $this->unit->leaflet->seconds('lagLeast'),
            $this->unit->leaflet->seconds('lagMost'),
            "lag {$id} " . round($at),
        );
        $names = [];
        if (!$device->unit->lights()) {
            return true;
        }
        for ($n = 0; $n < max(1, (int) ($device->unit->leaflet->figure('entries') ?? 1.0)); $n++) {
            $names[] = $this->free($names);
        }
        $this->entries[$id] = [$at + $lag, $names];

        return true;
    }

    /**
     * The first number that no entry has.
     *
     * @param  list<string>  $also
     */
    private function free(array $also): string
    {
        $taken = array_merge($also, $this->deadLines(), ...array_column(array_values($this->entries), 1));
        for (
            $n = 1;
            in_array($name = str_replace('#', (string) $n, $this->unit->leaflet->numbering), $taken, true);
            $n++
        );

        return $name;
    }

    /** Devices that left its network: the entry stays until it is deleted, and does not respond. */
    public function holds(string $device): bool
    {
        $there = $this->site->device($device);

        return isset($this->entries[$device]) &&
            $there instanceof SimulatedController &&
            $there->network() === $this->unit->id;
    }

    public function list(): array
    {
        $now = $this->site->now();

        return array_map(
            static fn(array $e): array => $e[1],
            // Remotes stand under switches, if at all: no line among the lights.
            array_filter(
                $this->entries,
                fn(array $e, string $d): bool => $e[0] <= $now + 1e-9 && $this->holds($d),
                ARRAY_FILTER_USE_BOTH,
            ),
        );
    }

    public function names(): array
    {
        return array_intersect_key($this->names, $this->list());
    }

    /** @return array<string, string> names by device, as an assistant that reads them would find them */
    public function read(): array
    {
        $names = [];
        foreach ($this->list() as $device => $listed) {
            $names[$device] = $this->names[$device] ?? $listed[0];
        }

        return $names;
    }

    public function next(): ?float
    {
        $now = $this->site->now();
        $coming = array_filter(array_column($this->entries, 0), static fn(float $t): bool => $t > $now + 1e-9);
        $times = array_filter(
            [parent::next(), $coming === [] ? null : min($coming), ...array_column($this->late, 0)],
            static fn(?float $t): bool => $t !== null,
        );

        if ($times === []) {
            return null;
        }

        return min($times);
    }

    public function reaches(SimulatedLight $light, string $meant, int $zone): bool
    {
        return $this->awake() &&
            $light->unit->id === $meant &&
            $light instanceof SimulatedController &&
            $light->network() === $this->unit->id &&
            isset($this->entries[$meant]);
    }
}
