<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Values\InvalidInput;

/** All devices of a job's joins, the planned controls, and the distances between them. */
final readonly class Roster
{
    /** Walking speed on site, m/s. Common practice, no source. */
    public const WALKS = 1.0;

    /** Assumed metres between places, and within a place without measurements. */
    private const AWAY = 12.0;

    private const NEARBY = 3.0;

    /** The phone that works the apps. */
    public const PHONE = 'phone';

    /**
     * @param  array<string, Unit>  $units  by id
     * @param  list<ControlledLight>  $wants
     * @param  int  $phones  of the client, with the one that joins
     * @param  list<StoredPreset>  $presets  scenes to store in remotes, panels and apps with a limit
     */
    public function __construct(
        public array $units,
        public array $wants,
        public TimingMethod $school = new TimingMethod(),
        public int $phones = 1,
        public array $presets = [],
    ) {}

    /** @throws InvalidInput */
    public function unit(string $id): Unit
    {
        return $this->units[$id] ?? throw InvalidInput::unknown('/device', 'device', $id);
    }

    public function has(string $id): bool
    {
        return isset($this->units[$id]);
    }

    /** @return array<string, Unit> of a role and, where said, a family */
    public function inRole(string $role, ?string $family = null): array
    {
        return array_filter(
            $this->units,
            static fn(Unit $u): bool => $u->role === $role && ($family === null || $u->family === $family),
        );
    }

    /** @return array<string, Unit> units of which that is so, by id */
    public function with(FamilyFact $fact): array
    {
        return array_filter($this->units, static fn(Unit $u): bool => Families::say($u, $fact));
    }

    /** @return list<Ability> abilities of a control for a light */
    public function abilities(string $control, string $light): array
    {
        $zigbee = array_filter($this->inRole(Unit::HUB), static fn(Unit $u): bool => $u->way === 'zigbee');

        return Ability::between($this->unit($control), $this->unit($light), array_values($zigbee)[0] ?? null);
    }

    /** @return list<ControlledLight> of one control */
    public function wantsOf(string $control): array
    {
        return array_values(
            array_filter($this->wants, static fn(ControlledLight $w): bool => $w->control === $control),
        );
    }

    public function wants(string $control, string $light): bool
    {
        foreach ($this->wants as $want) {
            if ($want->control === $control && $want->light === $light) {
                return true;
            }
        }

        return false;
    }

    /** Whether it is known how far two things are apart: in different places they are far. */
    public function measured(string $one, string $other): bool
    {
        [$a, $b] = [$this->unit($one), $this->unit($other)];

        return $a->place !== $b->place || ($a->at !== null && $b->at !== null);
    }

    public function metres(string $one, string $other): float
    {
        $a = $this->units[$one] ?? null;
        $b = $this->units[$other] ?? null;
        if ($a === null || $b === null || $one === $other) {
            return 0.0;
        }
        if ($a->place !== $b->place) {
            return self::AWAY;
        }
        if ($a->at === null || $b->at === null) {
            return self::NEARBY;
        }

        return hypot($a->at[0] - $b->at[0], $a->at[1] - $b->at[1]);
    }

    /** Floors between two things; 0 if unknown. */
    public function floors(string $one, string $other): int
    {
        $a = $this->units[$one]->floor ?? null;
        $b = $this->units[$other]->floor ?? null;

        if ($a === null || $b === null) {
            return 0;
        }

        return abs($a - $b);
    }

    /** Whole seconds to walk from one to the other. */
    public function walk(string $from, string $to): int
    {
        return (int) ceil($this->metres($from, $to) / self::WALKS - 1e-9);
    }

    /** @return list<string> other lights on the same switch */
    public function together(string $light): array
    {
        $switch = $this->unit($light)->switch;

        return array_keys(
            array_filter(
                $this->units,
                static fn(Unit $u): bool => $u->lights() &&
                    $u->id !== $light &&
                    $switch !== '' &&
                    $u->switch === $switch,
            ),
        );
    }

    /** The same with one device treated as used. */
    public function doubting(string $id): self
    {
        $unit = $this->units[$id] ?? null;

        if ($unit === null) {
            return $this;
        }

        return new self(
            [...$this->units, $id => $unit->used()],
            $this->wants,
            $this->school,
            $this->phones,
            $this->presets,
        );
    }

    /**
     * The same with panels that are on their walls already.
     *
     * @param  list<string>  $panels
     */
    public function fixing(array $panels): self
    {
        $units = $this->units;
        foreach (array_intersect($panels, array_keys($this->inRole(Unit::PANEL))) as $id) {
            $units[$id] = $units[$id]->fixed();
        }

        return new self($units, $this->wants, $this->school, $this->phones, $this->presets);
    }

    /**
     * The same with scenes that are stored as presets, as far as a control sets their lights one by one.
     *
     * @param  list<StoredPreset>  $presets
     */
    public function storing(array $presets): self
    {
        $can = array_filter($presets, fn(StoredPreset $p): bool => $p->setBy($this) !== []);

        return new self($this->units, $this->wants, $this->school, $this->phones, array_values($can));
    }

    /** Whether a controller must be brought to a remote or panel before they can link: the panel is fixed, and too far off. */
    public function brought(string $light, string $control): bool
    {
        $panel = $this->unit($control);
        $near = $panel->leaflet->figure('near') ?? Unit::NEAR;

        return $panel->fixed && (!$this->measured($light, $control) || $this->metres($light, $control) > $near + 1e-9);
    }

    public function in(TimingMethod $school): self
    {
        return new self($this->units, $this->wants, $school, $this->phones, $this->presets);
    }
}
