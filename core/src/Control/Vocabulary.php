<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Joining\Unit;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Scene;
use EmberDusk\Plan\Show;

/** Names for voice commands in a job: lights, rooms, scenes. */
final readonly class Vocabulary
{
    /**
     * @param  array<string, string>  $lights  names by id
     * @param  array<string, list<string>>  $rooms  lights by the room's name
     * @param  array<string, string>  $scenes  names by id, of shows as well
     * @param  array<string, string>  $kinds  of light, by id: single, tunable, rgb, rgbw, rgbcct
     */
    public function __construct(
        public array $lights,
        public array $rooms = [],
        public array $scenes = [],
        public array $kinds = [],
    ) {}

    /** @param  array<string, Unit>  $lights  by id */
    public static function for(Plan $plan, array $lights): self
    {
        $names = $rooms = $kinds = [];
        foreach ($lights as $id => $unit) {
            $named = $plan->lights[$id] ?? null;
            $names[$id] = $named->name ?? $unit->name;
            $kinds[$id] = $unit->kind;
            $room = $named->room ?? $unit->room;
            if ($room !== '') {
                $rooms[$room][] = $id;
            }
        }

        $named = static fn(Scene|Show $s): string => $s->name;

        return new self($names, $rooms, array_map($named, $plan->scenes) + array_map($named, $plan->shows), $kinds);
    }
}
