<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use EmberDusk\Control\BoardExtras;
use EmberDusk\Control\BoardRow;
use EmberDusk\Control\Cell;
use EmberDusk\Control\ControlMatrix;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\Answer;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Trigger;

/** The answer board: lights down, ways of control across; what joins is decided there, what starts something is set beside it. */
final readonly class BoardPicture
{
    /** @return array<string, mixed> lights, controls and cells as in app/Screens/Scenes/scenes.json, $defs/scenesPicture */
    public static function for(Plan $plan, ControlMatrix $board): array
    {
        $extras = BoardExtras::for($plan, $board);

        return [
            'lights' => [
                ...array_map(static fn(Unit $u): array => self::light($u, $plan), $board->lights),
                ...array_map(static fn(BoardRow $r): array => self::row($r, $plan), $extras->rows),
            ],
            'controls' => [
                ...array_map(self::control(...), $board->controls),
                ...array_map(self::start(...), $extras->starts),
            ],
            'cells' => array_map(
                static fn(Cell $c): array => [
                    'control' => $c->control,
                    'light' => $c->light,
                    'state' => $c->state,
                    'zone' => $c->zone,
                    'why' => $c->why,
                    'decided' => $c->decided,
                    'limited' => $c->limited,
                ],
                [...array_values($board->cells), ...$extras->cells],
            ),
        ];
    }

    /** @return array<string, mixed> as in $defs/boardControl */
    private static function control(Unit $unit): array
    {
        $phone = $unit->role === Unit::PHONE;

        $item = Answer::PHONE;
        $label = 'Phone';
        $name = 'by itself';
        if (!$phone) {
            $item = $unit->item;
            $label = $unit->label();
            $name = mb_strtolower($unit->name);
        }

        return [
            'id' => $unit->id,
            'item' => $item,
            'label' => $label,
            'name' => $name,
            'zones' => $unit->zones,
        ];
    }

    /** @return array<string, mixed> as in $defs/boardControl; without an item: it is set where it starts something */
    private static function start(Trigger $trigger): array
    {
        return [
            'id' => $trigger->id,
            'item' => '',
            'label' => strtoupper($trigger->id),
            'name' => $trigger->words(),
            'zones' => 0,
        ];
    }

    /** @return array<string, mixed> as in $defs/boardLight */
    private static function light(Unit $unit, Plan $plan): array
    {
        $named = $plan->lights[$unit->id] ?? null;

        return [
            'id' => $unit->id,
            'item' => $unit->item,
            'label' => $unit->label(),
            'name' => $named->name ?? $unit->name,
            'room' => $named->room ?? $unit->room,
            'kind' => self::kind($unit->kind),
            'named' => $named !== null,
        ];
    }

    /** @return array<string, mixed> as in $defs/boardLight; without an item: it joins nothing itself */
    private static function row(BoardRow $row, Plan $plan): array
    {
        return [
            'id' => $row->id,
            'item' => '',
            'label' => $row->label,
            'name' => $row->name,
            'room' => $plan->places[$row->place]->name ?? '',
            'kind' => $row->kind,
            'named' => false,
        ];
    }

    private static function kind(string $kind): string
    {
        return [
            'single' => 'one colour',
            'tunable' => 'tunable white',
            'rgb' => 'RGB',
            'rgbw' => 'RGBW',
            'rgbcct' => 'RGB and tunable white',
        ][$kind] ?? $kind;
    }
}
