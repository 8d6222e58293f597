<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\Plan;
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
        $rows = [...self::segments($plan, $board->roster), ...self::fixtures($plan)];
        $starts = (new Priorities($plan))->inputs;
        $cells = [];
        foreach ($rows as $row) {
            foreach ($board->controls as $control) {
                $cells[] = self::shared($row, $control, $board);
            }
        }
        foreach ($starts as $trigger) {
            $none = TriggerUnits::none($plan, $trigger);
            $plays = (new Priorities($plan))->lights($trigger);
            foreach ($board->lights as $light) {
                $run = $plan->items[$light->item]->on ?? '';
                $played = array_intersect($plays, [$light->id, $light->item, $run]) !== [];
                $cells[] = self::started($trigger, $light->id, $played, $none);
            }
            foreach ($rows as $row) {
                $run = $row->of !== '' ? $plan->items[$board->roster->unit($row->of)->item]->on ?? '' : '';
                $cells[] =
                    $row->of === ''
                        ? new Cell($trigger->id, $row->id, Cell::CANNOT, why: $row->why)
                        : self::started($trigger, $row->id, in_array($run, $plays, true), $none);
            }
        }

        return new self($rows, $starts, $cells);
    }

    /** @return list<BoardRow> of pixel runs whose + is cut: each part is its own light in the board's app */
    private static function segments(Plan $plan, Roster $roster): array
    {
        $rows = [];
        foreach ($roster->inRole(Unit::BOARD) as $board) {
            $run = $plan->runs[$plan->items[$board->item]->on ?? ''] ?? null;
            $parts = $run !== null && $run->zones !== [] ? count($run->zones) + 1 : 0;
            for ($n = 1; $n <= $parts; $n++) {
                $rows[] = new BoardRow(
                    id: "{$board->id}-{$n}",
                    label: $board->label(),
                    name: "{$plan->lightName($board->item)} {$n}",
                    place: $board->place,
                    kind: "segment {$n} of {$parts}",
                    of: $board->id,
                );
            }
        }

        return $rows;
    }

    /** @return list<BoardRow> */
    private static function fixtures(Plan $plan): array
    {
        return array_values(
            array_map(static function (Fitting $f) use ($plan): BoardRow {
                $module = $f->module !== null ? $plan->kit[$plan->modules[$f->module]->kit]->entry->name() : null;

                $why =
                    $module !== null
                        ? "They are dimmed by {$module}, over its own line: no radio of the job reaches them."
                        : 'They are fed by their supply: they are on while it is on.';

                return new BoardRow(
                    id: $f->id,
                    label: strtoupper($f->id),
                    name: $plan->kit[$f->kit]->entry->name(),
                    place: $f->place,
                    kind: "{$f->count} fixtures",
                    why: $why,
                );
            }, $plan->fixtures),
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
