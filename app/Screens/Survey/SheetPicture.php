<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use EmberDusk\Survey\Climb;
use EmberDusk\Survey\Leg;
use EmberDusk\Survey\Length;
use EmberDusk\Survey\Opening;
use EmberDusk\Survey\Point;
use EmberDusk\Survey\RunPath;
use EmberDusk\Survey\Site\Battery;
use EmberDusk\Survey\Site\Box;
use EmberDusk\Survey\Site\CableLeg;
use EmberDusk\Survey\Site\Outlet;
use EmberDusk\Survey\Site\SignalWire;
use EmberDusk\Survey\Slip;
use EmberDusk\Survey\WallSheet;

/** The tape sheet at true scale in metres: walls, openings, runs, units, legs. */
final readonly class SheetPicture
{
    /** Drawn metres of a leg with an unknown end. */
    private const STUB = 0.8;

    public static function for(WallSheet $sheet, string $system): SheetView
    {
        $at = self::places($sheet);
        $walls = array_filter($sheet->legs, static fn(Leg $l): bool => !$l->climbs);

        return new SheetView(
            start: $sheet->start,
            closed: $sheet->closed,
            corners: array_map(self::point(...), $sheet->corners),
            walls: array_map(
                static fn(int $n, Leg $l): Wall => new Wall(leg: $n, text: Length::write($l->length, $system)),
                array_keys($walls),
                array_values($walls),
            ),
            openings: array_map(
                static fn(Opening $o): OpeningView => new OpeningView(
                    from: self::point($o->from),
                    to: self::point($o->to),
                    what: $o->what,
                ),
                $sheet->openings,
            ),
            runs: array_map(
                static fn(string $word, RunPath $r): SheetRun => new SheetRun(
                    word: $word,
                    text: Length::say($r->length(), $system),
                    sections: array_map(
                        static fn(array $points): array => array_map(self::point(...), $points),
                        $r->sections,
                    ),
                ),
                array_keys($sheet->runs),
                array_values($sheet->runs),
            ),
            climbs: array_map(
                static fn(Climb $c): ClimbView => new ClimbView(
                    at: self::point($c->at),
                    text: Length::say($c->length, $system),
                    down: $c->down,
                ),
                $sheet->climbs,
            ),
            spots: [
                ...array_map(
                    static fn(Outlet $o): Spot => self::spot(
                        $o->spot->name,
                        $o->spur ? 'spur' : 'outlet',
                        $o->spot->where,
                        $at,
                    ),
                    $sheet->site->outlets,
                ),
                ...array_map(
                    static fn(Box $b): Spot => self::spot($b->spot->name, 'box', $b->spot->where, $at),
                    $sheet->site->boxes,
                ),
                ...array_map(
                    static fn(Battery $b): Spot => self::spot($b->spot->name, 'battery', $b->spot->where, $at),
                    $sheet->site->batteries,
                ),
                ...array_map(
                    static fn(SignalWire $s): Spot => self::spot($s->spot->name, 'signal', $s->spot->where, $at),
                    $sheet->site->signals,
                ),
            ],
            legs: array_map(
                static fn(int $n, CableLeg $l): SheetLeg => self::leg($l, $n, $at, $system),
                array_keys($sheet->site->legs),
                $sheet->site->legs,
            ),
            slips: array_map(
                static fn(Slip $s): SlipView => new SlipView(
                    line: $s->line,
                    column: $s->column,
                    length: $s->length,
                    message: $s->message,
                    instead: $s->instead,
                ),
                $sheet->slips,
            ),
            unit: $system === Length::IMPERIAL ? 'ft' : 'm',
            unitMetres: Length::UNITS[$system === Length::IMPERIAL ? 'ft' : 'm'],
        );
    }

    /**
     * Positions of named things; those known only to be in the room form a row across it.
     *
     * @return array<string, Point> by name in small letters
     */
    private static function places(WallSheet $sheet): array
    {
        $at = [];
        if ($sheet->start !== '') {
            $at[mb_strtolower($sheet->start)] = $sheet->corners[0];
        }
        foreach ($sheet->openings as $opening) {
            $at[mb_strtolower($opening->what)] ??= new Point(
                ($opening->from->x + $opening->to->x) / 2,
                ($opening->from->y + $opening->to->y) / 2,
            );
        }
        $x = array_map(static fn(Point $p): float => $p->x, $sheet->corners);
        $y = array_map(static fn(Point $p): float => $p->y, $sheet->corners);
        $inside = array_keys(array_filter($sheet->spots, static fn(?Point $p): bool => $p === null));
        $wide = max(max($x) - min($x), 0.6 * (max($y) - min($y)), 1.6);
        foreach ($sheet->spots as $name => $point) {
            $n = (int) array_search($name, $inside, true);
            $at[mb_strtolower($name)] =
                $point ??
                new Point(
                    min($x) + ($wide * ($n + 1)) / (count($inside) + 1),
                    min($y) + 0.24 * max(max($y) - min($y), 1.0),
                );
        }

        return $at;
    }

    /** @param  array<string, Point>  $at */
    private static function spot(string $name, string $kind, string $where, array $at): Spot
    {
        return new Spot(name: $name, kind: $kind, where: $where, at: self::point($at[mb_strtolower($name)]));
    }

    /** @param  array<string, Point>  $at */
    private static function leg(CableLeg $leg, int $n, array $at, string $system): SheetLeg
    {
        $from = $at[mb_strtolower($leg->from)] ?? null;
        $to = $at[mb_strtolower($leg->to ?? '')] ?? null;
        $known = $from !== null && $to !== null;
        // Loose ends fan out, so that each can be read.
        $from ??= $to?->go(self::STUB, 200 + 35 * $n);
        $to ??= $from?->go(self::STUB, 20 + 35 * $n);

        return new SheetLeg(
            name: $leg->name,
            text: self::legText($leg, $system),
            from: self::point($from),
            to: self::point($to),
            known: $known,
            far: $leg->to ?? '?',
            traced: $leg->traced,
        );
    }

    public static function legText(CableLeg $leg, string $system): string
    {
        return trim(
            "{$leg->cores} x {$leg->conductor->label()} " .
                ($leg->length === null ? '' : Length::say($leg->length, $system)),
        );
    }

    /** @return ($p is null ? null : array{float, float}) */
    private static function point(?Point $p): ?array
    {
        if ($p === null) {
            return null;
        }

        return [round($p->x, 4), round($p->y, 4)];
    }
}
