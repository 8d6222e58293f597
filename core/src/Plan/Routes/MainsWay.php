<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Routes;

use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\Plan;
use EmberDusk\Survey\Site\CableLeg;
use EmberDusk\Survey\Site\Outlet;
use EmberDusk\Survey\WallNotes;

/** How mains amounts to a supply that stands somewhere: it is there, or a cable goes to it from the nearest outlet. */
final readonly class MainsWay
{
    /**
     * @param  string|null  $outlet  from which a cable goes; null where mains is there or nowhere
     * @param  float  $metres  of that cable, along the walls, up or down, and something to work with
     * @param  bool  $there  whether mains is at the supply itself
     * @param  bool  $lead  whether a lead with a plug goes into an outlet there; a supply that plugs in itself has none
     */
    private function __construct(
        public ?string $outlet,
        public float $metres,
        public bool $there,
        public bool $lead = false,
    ) {}

    /** Null for units without mains, and if the position is unknown. */
    public static function to(Plan $plan, Device $device): ?self
    {
        $stands = $device->stands;
        $place = $plan->places[$stands->place ?? ''] ?? null;
        $kit = $plan->kit[$device->kit] ?? null;
        if ($stands === null || $place === null || !($kit?->entry instanceof Supply)) {
            return null;
        }
        $sheet = WallNotes::read($place->notes);
        $outlets = array_map(static fn($o) => $o->spot, $sheet->site->outlets);
        $names = array_map(static fn($s): string => $s->name, $outlets);
        $leads = array_filter(
            $sheet->site->legs,
            static fn(CableLeg $l): bool => ($l->to === $stands->spot && in_array($l->from, $names, true)) ||
                ($l->from === $stands->spot && in_array($l->to, $names, true)),
        );
        if ($stands->spot !== '' && (in_array($stands->spot, $names, true) || $leads !== [])) {
            $socket = array_filter(
                $sheet->site->outlets,
                static fn(Outlet $o): bool => $o->spot->name === $stands->spot && !$o->spur && !$o->keyed,
            );

            return new self(null, 0.0, true, $socket !== [] && !$kit->entry->plugIn);
        }
        $at = $stands->on($sheet);
        $up = $stands->up ?? $sheet->site->spot($stands->spot)?->up;
        $walls = new Walls($sheet);
        $best = null;
        foreach ($outlets as $outlet) {
            $from = $sheet->spots[$outlet->name] ?? null;
            if ($from === null || $at === null) {
                $best ??= [INF, $outlet->name];

                continue;
            }
            $metres = $walls->along($from, $at) + ($up === null || $outlet->up === null ? 0.0 : abs($up - $outlet->up));
            if ($best === null || $metres < $best[0]) {
                $best = [$metres, $outlet->name];
            }
        }

        if ($best === null) {
            return new self(null, 0.0, false);
        }

        return new self($best[1], is_finite($best[0]) ? round($best[0] + CableWay::SLACK, 2) : 0.0, false);
    }
}
