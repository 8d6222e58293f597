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
    /** @return array{lights: list<BoardLight>, controls: list<BoardControl>, cells: list<BoardCell>} */
    public static function for(Plan $plan, ControlMatrix $board): array
    {
        $extras = BoardExtras::for($plan, $board);

        return [
            'lights' => [
                ...array_map(static fn(Unit $u): BoardLight => self::light($u, $plan), $board->lights),
                ...array_map(static fn(BoardRow $r): BoardLight => self::row($r, $plan), $extras->rows),
            ],
            'controls' => [
                ...array_map(self::control(...), $board->controls),
                ...array_map(self::start(...), $extras->starts),
            ],
            'cells' => array_map(
                static fn(Cell $c): BoardCell => new BoardCell(
                    control: $c->control,
                    light: $c->light,
                    state: $c->state,
                    zone: $c->zone,
                    why: $c->why,
                    decided: $c->decided,
                    limited: $c->limited,
                ),
                [...array_values($board->cells), ...$extras->cells],
            ),
        ];
    }

    private static function control(Unit $unit): BoardControl
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

        return new BoardControl(id: $unit->id, item: $item, label: $label, name: $name, zones: $unit->zones);
    }

    private static function start(Trigger $trigger): BoardControl
    {
        return new BoardControl(
            id: $trigger->id,
            item: '',
            label: strtoupper($trigger->id),
            name: $trigger->words(),
            zones: 0,
        );
    }

    private static function light(Unit $unit, Plan $plan): BoardLight
    {
        $named = $plan->lights[$unit->id] ?? null;

        return new BoardLight(
            id: $unit->id,
            item: $unit->item,
            label: $unit->label(),
            name: $named->name ?? $unit->name,
            room: $named->room ?? $unit->room,
            kind: self::kind($unit->kind),
            named: $named !== null,
        );
    }

    private static function row(BoardRow $row, Plan $plan): BoardLight
    {
        return new BoardLight(
            id: $row->id,
            item: '',
            label: $row->label,
            name: $row->name,
            room: $plan->places[$row->place]->name ?? '',
            kind: $row->kind,
            named: false,
        );
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
