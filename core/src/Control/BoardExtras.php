<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\LightNames;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Segment;
use EmberDusk\Plan\Trigger;

/** Rows and columns of the control matrix besides joined devices: segments and fixtures down, push-buttons, presence and vehicle wires across. */
final readonly class BoardExtras
{
    /**
     * @param  list<BoardRow>  $rows
     * @param  list<Trigger>  $starts started by hand, wire or presence
     * @param  list<Cell>  $cells
     */
    private function __construct(public array $rows, public array $starts, public array $cells) {}

    public static function for(Plan $plan, ControlMatrix $board): self
    {
        $rows = [...self::segments($plan, $board->roster), ...self::fixtures($plan, $board->roster)];
        $starts = (new Priorities($plan))->inputs;
        $cells = [];
        foreach ($rows as $row) {
            foreach ($board->controls as $control) {
                $cells[] = self::shared($row, $control, $board);
            }
        }
        foreach ($starts as $trigger) {
            $none = (new TriggerUnits($plan))->none($trigger);
            $plays = (new Priorities($plan))->lights($trigger);
            foreach ($board->lights as $light) {
                $played = array_intersect($plays, [$light->id, ...self::runsOf($plan, $light->id)]) !== [];
                $cells[] = self::started($trigger, $light->id, $played, $none);
            }
            foreach ($rows as $row) {
                $played = array_intersect($plays, self::runsOf($plan, $row->of)) !== [];
                $cells[] =
                    $row->of === ''
                        ? new Cell($trigger->id, $row->id, Cell::CANNOT, why: $row->why)
                        : self::started($trigger, $row->id, $played, $none);
            }
        }

        return new self($rows, $starts, $cells);
    }

    /** @return list<BoardRow> of boards with several runs, or a run in segments or whose + is cut: each part is its own light in the board's app */
    private static function segments(Plan $plan, Roster $roster): array
    {
        $rows = [];
        foreach (self::segmentsOf($plan) as $board => $segments) {
            $unit = $roster->units[$board] ?? null;
            if ($unit === null) {
                continue;
            }
            foreach ($segments as $n => $name) {
                $rows[] = new BoardRow(
                    id: "{$unit->id}-" . ($n + 1),
                    label: $unit->label(),
                    name: $name,
                    place: $unit->place,
                    kind: 'segment ' . ($n + 1) . ' of ' . count($segments),
                    of: $unit->id,
                );
            }
        }

        return $rows;
    }

    /** @return array<string, list<string>> names of the segments by board: several runs, segments of a run, and parts of one whose + is cut */
    private static function segmentsOf(Plan $plan): array
    {
        $segments = [];
        foreach ($plan->runs as $run) {
            $board = $plan->of($run)->board()?->id;
            $segments[(string) $board] ??= [];
            $own = array_filter($plan->segments, static fn(Segment $s): bool => $s->run === $run->id);
            if ($board !== null && $own !== []) {
                array_push($segments[$board], ...array_column($own, 'name'));

                continue;
            }
            $parts = count($run->zones) + 1;
            for ($n = 1; $board !== null && $n <= $parts; $n++) {
                $segments[$board][] = $parts === 1 ? $run->name() : (new LightNames($plan))->of($run->id) . " {$n}";
            }
        }

        return array_filter($segments, static fn(array $of): bool => count($of) > 1);
    }

    /** @return list<string> ids of the runs of a controller, and of their segments */
    private static function runsOf(Plan $plan, string $controller): array
    {
        $mine = static fn(string $run): bool => ($plan->runs[$run]->controller ?? null) === $controller;

        return array_map(strval(...), [
            ...array_keys(array_filter($plan->runs, static fn(Run $r): bool => $mine($r->id))),
            ...array_keys(array_filter($plan->segments, static fn(Segment $s): bool => $mine($s->run))),
        ]);
    }

    /** @return list<BoardRow> of fixtures under no module: one that dims fixtures is a light itself */
    private static function fixtures(Plan $plan, Roster $roster): array
    {
        return array_values(
            array_map(
                static fn(Fitting $f): BoardRow => new BoardRow(
                    id: $f->id,
                    label: strtoupper($f->id),
                    name: $plan->kit[$f->kit]->entry->name(),
                    place: $f->place,
                    kind: "{$f->count} fixtures",
                    why: 'They are fed by their supply: they are on while it is on.',
                ),
                array_filter($plan->fixtures, static fn(Fitting $f): bool => !isset($roster->units[$f->module ?? ''])),
            ),
        );
    }

    private static function shared(BoardRow $row, Unit $control, ControlMatrix $board): Cell
    {
        $whole = $row->of !== '' ? $board->cell($control->id, $row->of) : null;
        // A remote has no word for a segment; an app has.
        $apart = in_array($control->role, [Unit::PHONE, Unit::HUB, Unit::BRIDGE], true);
        $can = $whole !== null && $apart && $whole->state !== Cell::CANNOT;

        $state = $can ? $whole->state : Cell::CANNOT;

        return new Cell(
            control: $control->id,
            light: $row->id,
            state: $state,
            why: match (true) {
                $can => '',
                $whole === null => $row->why,
                $whole->state === Cell::CANNOT => $whole->why,
                default => "{$control->label()} controls all of {$row->label} at once, not one segment.",
            },
        );
    }

    /** @param  string|null  $none  why nothing of the job can start it */
    private static function started(Trigger $trigger, string $light, bool $plays, ?string $none): Cell
    {
        $why = $plays && $none !== null ? $none : '';

        return new Cell(
            control: $trigger->id,
            light: $light,
            state: match (true) {
                $plays && $none !== null => Cell::CANNOT,
                $plays => Cell::PLANNED,
                default => Cell::OPEN,
            },
            why: $why,
        );
    }
}
