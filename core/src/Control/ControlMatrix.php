<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Joining\Ability;
use EmberDusk\Joining\ControlledLight;
use EmberDusk\Joining\Joinable;
use EmberDusk\Joining\PlannedControls;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\RosterOfPlan;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\Plan;

/** Which light answers to what: lights down, ways of control across. */
final readonly class ControlMatrix
{
    /**
     * @param  list<Unit>  $lights
     * @param  list<Unit>  $controls
     * @param  array<string, Cell>  $cells  by control and light, as in {@see ControlledLight::key()}
     */
    private function __construct(
        public Roster $roster,
        public array $lights,
        public array $controls,
        public array $cells,
    ) {}

    /** @param  list<string>  $worked controls tested on site that worked, by control and light */
    public static function for(Plan $plan, array $worked): self
    {
        $roster = RosterOfPlan::for($plan, new TimingMethod());
        $lights = array_values(array_filter($roster->units, static fn(Unit $u): bool => $u->lights()));
        $controls = array_values(array_filter($roster->units, static fn(Unit $u): bool => !$u->lights()));
        $wanted = new PlannedControls($plan, $roster->units);
        $room = self::keyed(Joinable::for($plan)->roster->wants);
        $wants = self::keyed($roster->wants);
        $cells = [];
        foreach ($controls as $control) {
            foreach ($lights as $light) {
                $key = (new ControlledLight($control->id, $light->id))->key();
                $want = $wants[$key] ?? null;
                $cannot = $wanted->cannot($control, $light);
                $cells[$key] = new Cell(
                    control: $control->id,
                    light: $light->id,
                    state: match (true) {
                        $cannot !== null => Cell::CANNOT,
                        $want === null => Cell::OPEN,
                        in_array($key, $worked, true) => Cell::WORKS,
                        !isset($room[$key]) && $control->zones > 0 && $want->zone > $control->zones => Cell::CLASHES,
                        default => Cell::PLANNED,
                    },
                    zone: $want->zone ?? 0,
                    why: $cannot ?? self::clash($control, $want),
                    decided: $wanted->answer($control, $light) !== null,
                    limited: $cannot === null
                        ? Ability::missing($light->kind, $roster->abilities($control->id, $light->id))
                        : '',
                );
            }
        }

        // A phone that reaches nothing automatically is no way of control here.
        $controls = array_values(
            array_filter(
                $controls,
                static fn(Unit $c): bool => $c->role !== Unit::PHONE ||
                    array_filter(
                        $roster->wants,
                        static fn(ControlledLight $w): bool => $w->control === Roster::PHONE,
                    ) !== [],
            ),
        );

        return new self($roster, $lights, $controls, $cells);
    }

    /**
     * @param  list<ControlledLight>  $wants
     * @return array<string, ControlledLight>
     */
    private static function keyed(array $wants): array
    {
        return array_combine(array_map(static fn(ControlledLight $w): string => $w->key(), $wants), $wants);
    }

    private static function clash(Unit $control, ?ControlledLight $want): string
    {
        if ($want !== null && $control->zones > 0 && $want->zone > $control->zones) {
            return "{$control->label()} has {$control->zones} zones.";
        }

        return '';
    }

    public function cell(string $control, string $light): ?Cell
    {
        return $this->cells[(new ControlledLight($control, $light))->key()] ?? null;
    }

    /**
     * Two lights that could share a zone where a control has fewer zones than lights: one that has none, and the one that is nearest to it in
     * room and kind.
     *
     * @return list<array{control: Unit, light: Unit, with: Unit, zone: int}>
     */
    public function merges(): array
    {
        $merges = [];
        foreach ($this->controls as $control) {
            foreach ($this->lights as $light) {
                if ($this->cell($control->id, $light->id)?->state !== Cell::CLASHES) {
                    continue;
                }
                $held = array_filter(
                    $this->lights,
                    fn(Unit $u): bool => in_array(
                        $this->cell($control->id, $u->id)?->state,
                        [Cell::WORKS, Cell::PLANNED],
                        true,
                    ),
                );
                usort(
                    $held,
                    static fn(Unit $a, Unit $b): int => [self::unlike($a, $light), $a->id] <=> [
                        self::unlike($b, $light),
                        $b->id,
                    ],
                );
                if ($held !== []) {
                    $merges[] = [
                        'control' => $control,
                        'light' => $light,
                        'with' => $held[0],
                        'zone' => $this->cell($control->id, $held[0]->id)->zone ?? 0,
                    ];
                }
            }
        }

        return $merges;
    }

    /** How ill two lights would share a zone: another room counts more than another kind. */
    private static function unlike(Unit $a, Unit $b): int
    {
        return ($a->place === $b->place ? 0 : 2) + ((int) ($a->kind !== $b->kind));
    }
}
