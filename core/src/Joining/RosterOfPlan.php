<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Kit\Control;
use EmberDusk\Kit\Profiles\Behaviour;
use EmberDusk\Plan\BoardSetting;
use EmberDusk\Plan\BoardSettings;
use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\Item;
use EmberDusk\Plan\LightNames;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\CableWay;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Source;
use EmberDusk\Survey\WallNotes;
use WeakMap;

/** The devices of a plan that take part in joining, and which control is to work which light: every one that can, in its own place first. */
final class RosterOfPlan
{
    /** No floor has this number. */
    private const UNKNOWN = PHP_INT_MIN;

    /** @var array<string, Unit> */
    private array $units = [];

    /** @var array<string, int> by place */
    private array $floors = [];

    private function __construct(private readonly Plan $plan) {}

    public static function for(Plan $plan, TimingMethod $school): Roster
    {
        // Plans never change, and every check of names, limits and reach asks for the same devices.
        /** @var WeakMap<Plan, Roster>|null $known */
        static $known = null;
        $known ??= new WeakMap();

        /** @var Roster $roster */
        $roster = $known[$plan] ?? self::read($plan);
        $known[$plan] = $roster;

        return new Roster($roster->units, $roster->wants, $school, $roster->phones);
    }

    private static function read(Plan $plan): Roster
    {
        $reader = new self($plan);
        $reader->lights();
        $reader->modules();
        $reader->hubs();
        $reader->items();
        $reader->add(new Unit(Roster::PHONE, 'Phone', Unit::PHONE, '', ''));

        return new Roster(
            $reader->units,
            (new PlannedControls($plan, $reader->units))->all(),
            phones: max(1, $reader->phones()),
        );
    }

    private function add(Unit $unit): void
    {
        $place = $unit->place;
        $this->floors[$place] ??=
            WallNotes::read($this->plan->places[$place]->notes ?? '')->site->floor ?? self::UNKNOWN;
        $floor = $this->floors[$place];
        $this->units[$unit->id] = $unit
            ->onFloor($floor === self::UNKNOWN ? null : $floor)
            ->poweredBy($unit->role === Unit::PHONE ? Source::Cell : $this->plan->power()->sourceOf($unit->item))
            ->returning(($this->plan->tunings[$unit->item] ?? null)?->returns() ?? '');
    }

    private static function family(string $role, string $way): string
    {
        return Families::for($role, $way)?->key() ?? '';
    }

    /** @return array{float, float}|null */
    private function at(string $id): ?array
    {
        $at = CableWay::where($this->plan, $id)?->at;

        return $at === null ? null : [$at->x, $at->y];
    }

    private function lights(): void
    {
        foreach ($this->plan->controllers as $id => $device) {
            $entry = $this->plan->controller($id);
            $run = $this->lit(static fn(Run $r): bool => $r->controller === $id);
            if ($entry === null || !$entry->joins()) {
                continue;
            }
            $place = $device->stands->place ?? ($run->place ?? '');
            // A pixel board with a page of its own joins by that page; a small one like any controller of its radio.
            $page = $entry->pixels !== null && Families::for(Unit::BOARD, $entry->family) !== null;
            $role = $page ? Unit::BOARD : Unit::LIGHT;
            $this->add(
                new Unit(
                    id: $id,
                    name: match (true) {
                        $run === null => '',
                        $entry->pixels !== null => (new LightNames($this->plan))->board($id),
                        default => $run->name(),
                    },
                    role: $role,
                    family: self::family($role, $entry->family),
                    way: $entry->family,
                    leaflet: $entry->profile ?? new Behaviour(),
                    place: $place,
                    at: $this->at($id),
                    switch: $run->supply ?? '',
                    kind: $this->plan->strip($run?->strip)?->colours() ?? ($device->setting ?? 'single'),
                    used: $device->used,
                    room: $this->room($place),
                    item: $id,
                    hasSwitch: $entry->setByHand(),
                    enters: implode(
                        '; ',
                        array_map(
                            static fn(BoardSetting $s): string => $s->words(),
                            BoardSettings::for($this->plan, $id),
                        ),
                    ),
                ),
            );
        }
    }

    /** @param  callable(Run): bool  $which */
    private function lit(callable $which): ?Run
    {
        $runs = array_filter($this->plan->runs, $which);

        if ($runs === []) {
            return null;
        }

        return reset($runs);
    }

    private function room(string $place): string
    {
        return $this->plan->places[$place]->name ?? '';
    }

    /** Dimming modules, each with the fixtures that it dims. */
    private function modules(): void
    {
        foreach ($this->plan->modules as $id => $device) {
            $entry = $this->plan->module($id);
            $dimmed = array_filter($this->plan->fixtures, static fn(Fitting $f): bool => $f->module === $id);
            if ($entry === null || $dimmed === []) {
                continue;
            }
            $place = $device->stands->place ?? reset($dimmed)->place;
            $this->add(
                new Unit(
                    id: $id,
                    name: (new LightNames($this->plan))->of($id),
                    role: Unit::LIGHT,
                    family: self::family(Unit::LIGHT, $entry->family),
                    way: $entry->family,
                    leaflet: $entry->profile ?? new Behaviour(),
                    place: $place,
                    at: $this->at($id),
                    kind: 'single',
                    used: $device->used,
                    room: $this->room($place),
                    item: $id,
                    load: Unit::LAMPS,
                    hasSwitch: false,
                ),
            );
        }
    }

    private function hubs(): void
    {
        foreach ($this->plan->hubs as $id => $device) {
            $entry = $this->plan->hub($id);
            if ($entry === null) {
                continue;
            }
            $way = $entry->speaks[0] ?? 'zigbee';
            $this->add(
                new Unit(
                    id: $id,
                    name: 'Hub',
                    role: Unit::HUB,
                    family: self::family(Unit::HUB, $way),
                    way: $way,
                    leaflet: $entry->profile,
                    place: $device->stands->place ?? '',
                    at: $this->at($id),
                    sets: $entry->sets,
                    speaks: $entry->speaks,
                    most: $entry->lights,
                    used: $device->used,
                    item: $id,
                ),
            );
        }
    }

    private function items(): void
    {
        $counts = [];
        foreach ($this->plan->items as $id => $item) {
            $kit = $this->plan->kit[$item->kit] ?? null;
            $entry = $kit?->entry;
            $beside = $kit?->beside();
            if ($beside === null || $beside->letter === '' || !($entry instanceof Control)) {
                continue;
            }
            $letter = $beside->letter;
            $role = $beside->role;
            // An assistant with its own radio is the hub where the job has none.
            $radio =
                $role === Unit::ASSISTANT && in_array('zigbee', $entry->speaks, true) && $this->zigbeeHub() === null;
            if ($radio) {
                $role = Unit::HUB;
            }
            $way = $role !== Unit::HUB ? $this->way($role, $entry->speaks) : 'zigbee';
            for ($n = 0; $n < $item->count; $n++) {
                $counts[$letter] = ($counts[$letter] ?? 0) + 1;
                $this->add(
                    new Unit(
                        id: $letter . $counts[$letter],
                        name: $beside->called,
                        role: $role,
                        family: self::family($role, $way),
                        way: $way,
                        leaflet: $entry->profile,
                        place: $item->stands->place ?? $item->place,
                        at: $this->at($id),
                        sets: $entry->sets,
                        speaks: $entry->speaks,
                        zones: $entry->zones,
                        most: $entry->lights,
                        used: $item->used,
                        item: $id,
                    ),
                );
            }
        }
    }

    /** Phones of the client that the job lists. */
    private function phones(): int
    {
        return array_sum(
            array_map(
                fn(Item $i): int => ($this->plan->kit[$i->kit] ?? null)?->beside()?->role === Unit::PHONE
                    ? $i->count
                    : 0,
                $this->plan->items,
            ),
        );
    }

    private function zigbeeHub(): ?Unit
    {
        foreach ($this->units as $unit) {
            if ($unit->role === Unit::HUB && $unit->way === 'zigbee') {
                return $unit;
            }
        }

        return null;
    }

    /**
     * The first way with a known family.
     *
     * @param  list<string>  $speaks
     */
    private function way(string $role, array $speaks): string
    {
        foreach ($speaks as $way) {
            if (Families::for($role, $way) !== null) {
                return $way;
            }
        }

        return $speaks[0] ?? '';
    }
}
