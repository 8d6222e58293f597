<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Control\BoardExtras;
use EmberDusk\Control\Cell;
use EmberDusk\Control\ControlMatrix;
use EmberDusk\Control\Running;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\LightNames;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Show;
use EmberDusk\Plan\Standing;
use EmberDusk\Survey\WallNotes;

/** Hand-over data besides the wiring: positions of parts, control matrix, shows and automation. */
final readonly class HandoverFacts
{
    /** Marks of the answer board that a print without colour keeps apart. */
    public const MARKS = [
        Cell::OPEN => '',
        Cell::CANNOT => '-',
        Cell::CLASHES => 'no room',
    ];

    public function __construct(private Plan $plan) {}

    /** @return list<HidingRow> supplies, controllers, hubs, modules and other items */
    public function hiding(Roster $roster): array
    {
        $rows = [];
        foreach ([$this->plan->supplies, $this->plan->controllers, $this->plan->hubs, $this->plan->modules] as $list) {
            foreach ($list as $id => $device) {
                $rows[] = $this->row((string) $id, $device->kit, $device->stands, '');
            }
        }
        foreach ($this->plan->items as $id => $item) {
            $rows[] = $this->row(
                self::label($roster, $id),
                $item->kit,
                $item->stands,
                $this->plan->places[$item->place]->name ?? '',
            );
        }

        return $rows;
    }

    /** Label of an item among joined devices: B1, R1, A1; else its own id. */
    public static function label(Roster $roster, string $item): string
    {
        foreach ($roster->units as $unit) {
            if ($unit->item === $item) {
                return $unit->label();
            }
        }

        return strtoupper($item);
    }

    /** Position of a device; a box or an outlet is named as such, since a device may have the same label. */
    private function spot(Standing $stands): string
    {
        $site = WallNotes::read($this->plan->places[$stands->place]->notes ?? '')->site;
        $kind = match (true) {
            $stands->wall !== null => '',
            array_filter($site->boxes, static fn($b): bool => $b->spot->name === $stands->spot) !== [] => 'box ',
            array_filter($site->outlets, static fn($o): bool => $o->spot->name === $stands->spot) !== [] => 'outlet ',
            default => '',
        };

        return $kind . $stands->words($this->plan->terms->length);
    }

    private function row(string $id, string $kit, ?Standing $stands, string $else): HidingRow
    {
        if ($stands === null) {
            $where = $else === '' ? 'not recorded' : "{$else}, no fixed place";
        } else {
            $where = ($this->plan->places[$stands->place]->name ?? '') . ', ' . $this->spot($stands);
        }

        return new HidingRow(label: strtoupper($id), name: $this->plan->kit[$kit]->entry->name(), where: $where);
    }

    /**
     * @param  list<string>  $worked controls tested on site that worked
     * @param  array<string, string>  $tried  on which day and by whom, by control and light
     */
    public function board(array $worked, array $tried = []): SheetBoard
    {
        $board = ControlMatrix::for($this->plan, $worked);
        $extras = BoardExtras::for($this->plan, $board);
        $cells = [];
        foreach ([...array_values($board->cells), ...$extras->cells] as $cell) {
            $cells["{$cell->control} {$cell->light}"] = self::mark(
                $cell,
                $board->roster->units[$cell->control]->role ?? '',
                $tried["{$cell->control} {$cell->light}"] ?? '',
            );
        }
        $controls = [];
        foreach ($board->controls as $unit) {
            $controls[$unit->id] = $unit->role === Unit::PHONE ? 'Phone' : $unit->called();
        }
        foreach ($extras->starts as $trigger) {
            $controls[$trigger->id] = $trigger->words();
        }
        $lights = [];
        foreach ($board->lights as $unit) {
            $lights[$unit->id] = ($this->plan->lights[$unit->id]->name ?? $unit->name) . " ({$unit->label()})";
        }
        foreach ($extras->rows as $row) {
            $lights[$row->id] = "{$row->name} ({$row->label})";
        }

        return new SheetBoard(
            controls: array_values($controls),
            rows: array_map(
                static fn(string $id, string $name): SheetBoardRow => new SheetBoardRow(
                    light: $name,
                    cells: array_map(static fn(string $c): string => $cells["{$c} {$id}"] ?? '', array_keys($controls)),
                ),
                array_keys($lights),
                array_values($lights),
            ),
        );
    }

    /**
     * @param  string  $role  of the control, as in Unit; empty for what starts automatically
     * @param  string  $when  on which day and by whom it was tried, in words
     */
    private static function mark(Cell $cell, string $role, string $when): string
    {
        $answers = in_array($cell->state, [Cell::WORKS, Cell::PLANNED], true);
        $how = match ($role) {
            Unit::ASSISTANT => 'spoken to',
            Unit::HUB, Unit::BRIDGE, Unit::PHONE => 'tried in its app',
            Unit::REMOTE, Unit::PANEL => 'pressed',
            default => 'tried',
        };
        $mark = match ($cell->state) {
            Cell::WORKS => rtrim("{$how} {$when}"),
            Cell::PLANNED => 'not tested yet',
            default => self::MARKS[$cell->state],
        };

        return $mark .
            ($cell->zone > 0 ? ", zone {$cell->zone}" : '') .
            ($answers && $cell->limited !== '' ? ", {$cell->limited}" : '');
    }

    /** @return list<string> shows, and what starts automatically */
    public function plays(): array
    {
        $lines = array_map(
            fn(Show $s): string => "Show “{$s->name}”: " . (new Running($this->plan, $s))->words() . '.',
            array_values($this->plan->shows),
        );
        foreach ($this->plan->triggers as $trigger) {
            $lines[] =
                ucfirst($trigger->words()) .
                ': ' .
                ($this->plan->scenes[$trigger->plays]->name ??
                    ($this->plan->shows[$trigger->plays]->name ?? 'everything off')) .
                ($trigger->after > 0 ? ", goes on {$trigger->after} s" : '') .
                '.';
        }

        return $lines;
    }

    /** @return list<ResetCard> how remotes, panels and bridges are reset; a light’s card stands with its run */
    public static function cards(Roster $roster): array
    {
        $cards = [];
        foreach ($roster->units as $unit) {
            $card = !$unit->lights() ? $unit->leaflet->resetCard() : null;
            if ($card !== null) {
                $cards[] = new ResetCard(device: $unit->called(), says: $card);
            }
        }

        return $cards;
    }

    /** @return list<string> power-on behaviour of each light, if set */
    public function power(Roster $roster): array
    {
        $lines = [];
        $waits = 0.0;
        foreach ($this->plan->tunings as $id => $tuning) {
            if ($tuning->powerOn === '') {
                continue;
            }
            $lines[] =
                (new LightNames($this->plan))->of((string) $id) . " {$tuning->returns()} when its power returns.";
            $unit = array_values(array_filter($roster->units, static fn(Unit $u): bool => $u->item === $id))[0] ?? null;
            $waits = max($waits, $unit?->leaflet->figure('keeps') ?? 0.0);
        }
        if ($lines !== []) {
            $lines[] =
                'To change the power-on state: set the light, store it, wait ' .
                ($waits > 0 ? "{$waits} s" : 'for the sign that it is stored') .
                ', cut the power, and test it with the phone off.';
        }

        return $lines;
    }
}
