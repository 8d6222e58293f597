<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use EmberDusk\Control\RadioLink;
use EmberDusk\Control\RadioReach;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\Plan;
use EmberDusk\Survey\Point;
use EmberDusk\Survey\WallNotes;

/** The devices of one radio in the rooms of the survey, who hears whom, and devices reached through one node only. All lengths in metres. */
final class ReachPicture
{
    /** Between rooms, and around unmeasured devices. */
    private const GAP = 2.0;

    /** Side of a room that is not measured. */
    private const UNKNOWN = 4.0;

    /** Two nodes are drawn at least so far apart. */
    private const SIDE = 0.9;

    /** A row of rooms is no longer than this. */
    private const WIDEST = 34.0;

    /** @var array<string, array{x: float, y: float, w: float, h: float, left: float, top: float}> by place */
    private array $rooms = [];

    private function __construct(private readonly Plan $plan, private readonly Roster $roster) {}

    /** @return list<ReachPictureView> */
    public static function for(Plan $plan, Roster $roster): array
    {
        return array_map(
            static fn(RadioReach $reach): ReachPictureView => (new self($plan, $roster))->picture($reach),
            RadioReach::for($roster),
        );
    }

    private function picture(RadioReach $reach): ReachPictureView
    {
        $ids = [...array_map(strval(...), array_keys($reach->hops)), ...$reach->lost];
        $units = array_map($this->roster->unit(...), $ids);
        $this->lay($units);
        $spots = $this->spots($units);

        return new ReachPictureView(
            title: $reach->title(),
            from: $reach->from,
            wide: max([0.0, ...array_map(static fn(array $r): float => $r['x'] + $r['w'], array_values($this->rooms))]),
            high: max([0.0, ...array_map(static fn(array $r): float => $r['y'] + $r['h'], array_values($this->rooms))]),
            rooms: array_map(
                fn(string $place, array $r): ReachRoom => new ReachRoom(
                    name: $this->plan->places[$place]->name ?? 'Not placed',
                    x: $r['x'],
                    y: $r['y'],
                    w: $r['w'],
                    h: $r['h'],
                ),
                array_keys($this->rooms),
                array_values($this->rooms),
            ),
            nodes: array_map(
                fn(Unit $u, int $n): ReachNode => new ReachNode(
                    id: $u->id,
                    label: $u->label(),
                    name: $this->plan->lights[$u->id]->name ?? $u->name,
                    x: $spots[$u->id][0],
                    y: $spots[$u->id][1],
                    hops: $reach->hops[$u->id] ?? null,
                    cut: in_array($u->id, $reach->cuts, true),
                    passes: $u->role !== Unit::REMOTE,
                    guessed: $u->at === null,
                    below: $n % 2 === 1,
                ),
                $units,
                array_keys($units),
            ),
            links: array_map(
                static fn(RadioLink $l): ReachLink => new ReachLink(from: $l->a, to: $l->b, spare: $l->spare),
                $reach->links,
            ),
            lines: array_map(trim(...), $reach->lines($this->roster)),
        );
    }

    /**
     * Rooms at their size, side by side, a row at a time.
     *
     * @param  list<Unit>  $units
     */
    private function lay(array $units): void
    {
        $x = $y = $row = 0.0;
        foreach (array_unique(array_map(static fn(Unit $u): string => $u->place, $units)) as $place) {
            $corners = isset($this->plan->places[$place])
                ? WallNotes::read($this->plan->places[$place]->notes)->corners
                : [];
            $xs = array_map(static fn(Point $p): float => $p->x, $corners);
            $ys = array_map(static fn(Point $p): float => $p->y, $corners);
            $wide = $xs !== [] ? max($xs) - min($xs) : 0.0;
            $high = $ys !== [] ? max($ys) - min($ys) : 0.0;
            if ($wide < 1) {
                $wide = self::UNKNOWN;
            }
            if ($high < 1) {
                $high = self::UNKNOWN;
            }
            if ($x > 0 && $x + $wide > self::WIDEST) {
                [$x, $y, $row] = [0.0, $y + $row + self::GAP, 0.0];
            }
            $left = $xs !== [] ? min($xs) : 0.0;
            $top = $ys !== [] ? max($ys) : 0.0;
            $this->rooms[$place] = [
                'x' => $x,
                'y' => $y,
                'w' => $wide,
                'h' => $high,
                'left' => $left,
                'top' => $top,
            ];
            $x += $wide + self::GAP;
            $row = max($row, $high);
        }
    }

    /**
     * Positions; unmeasured devices are in a row in the middle of their room.
     *
     * @param  list<Unit>  $units
     * @return array<string, array{float, float}>
     */
    private function spots(array $units): array
    {
        $spots = $guessed = [];
        foreach ($units as $unit) {
            $room = $this->rooms[$unit->place];
            if ($unit->at !== null) {
                // The notes' first heading is up the page.
                $spots[$unit->id] = [
                    $room['x'] + $unit->at[0] - $room['left'],
                    $room['y'] + $room['top'] - $unit->at[1],
                ];
            } else {
                $n = $guessed[$unit->place] = ($guessed[$unit->place] ?? 0) + 1;
                $spots[$unit->id] = [$room['x'] + ($n * $room['w']) / 6, $room['y'] + $room['h'] / 2];
            }
        }

        return self::apart($spots);
    }

    /**
     * Devices in one box are drawn side by side.
     *
     * @param  array<string, array{float, float}>  $spots
     * @return array<string, array{float, float}>
     */
    private static function apart(array $spots): array
    {
        $drawn = [];
        foreach ($spots as $id => [$x, $y]) {
            while (
                array_filter(
                    $drawn,
                    static fn(array $d): bool => abs($d[0] - $x) < self::SIDE && abs($d[1] - $y) < self::SIDE,
                ) !== []
            ) {
                $x += self::SIDE;
            }
            $drawn[$id] = [$x, $y];
        }

        return $drawn;
    }
}
