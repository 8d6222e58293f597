<?php

declare(strict_types=1);

namespace EmberDusk\Advice;

use EmberDusk\Measure\Climb;
use EmberDusk\Measure\Opening;
use EmberDusk\Measure\Point;
use EmberDusk\Measure\RunPath;
use EmberDusk\Measure\Slip;
use EmberDusk\Measure\TapeNotes;
use EmberDusk\Measure\TapeSheet;
use EmberDusk\Plan\Place;
use EmberDusk\Workings\Figure;
use EmberDusk\Workings\Input;

/** The tape sheet: notes as typed, walls, openings and runs at true scale in metres, slips at their words. */
final readonly class SurveyDesk
{
    /** @return array<string, mixed> */
    public static function picture(Work $work): array
    {
        return ['places' => array_map(static fn (Place $p): array => [
            'id' => $p->id, 'name' => $p->name, 'notes' => $p->notes, 'sheet' => self::sheet(TapeNotes::read($p->notes)),
        ], array_values($work->plan->places))];
    }

    /** @return array<string, mixed> as in core/schema/responses.json, $defs/sheet */
    public static function sheet(TapeSheet $sheet): array
    {
        return [
            'start' => $sheet->start,
            'closed' => $sheet->closed,
            'corners' => array_map(self::point(...), $sheet->corners),
            'openings' => array_map(static fn (Opening $o): array => ['from' => self::point($o->from), 'to' => self::point($o->to), 'what' => $o->what], $sheet->openings),
            'runs' => array_map(static fn (string $word, RunPath $r): array => [
                'word' => $word, 'length' => round($r->length(), 4),
                'sections' => array_map(static fn (array $points): array => array_map(self::point(...), $points), $r->sections),
            ], array_keys($sheet->runs), array_values($sheet->runs)),
            'climbs' => array_map(static fn (Climb $c): array => ['at' => self::point($c->at), 'length' => $c->length, 'down' => $c->down], $sheet->climbs),
            'slips' => array_map(static fn (Slip $s): array => [
                'line' => $s->line, 'column' => $s->column, 'length' => $s->length, 'message' => $s->message, 'instead' => $s->instead,
            ], $sheet->slips),
        ];
    }

    /** @return list<Figure> */
    public static function ledger(Work $work): array
    {
        $figures = [];
        foreach ($work->plan->runs as $run) {
            $inputs = [];
            foreach ($run->sections as $n => $length) {
                $inputs[] = new Input('L'.($n + 1), 'section '.($n + 1), $length, 'm');
            }
            $figures[] = new Figure($run->name(), $run->length(), 'm', 2, implode(' + ', array_map(static fn (Input $i): string => $i->symbol, $inputs)),
                $inputs, 'As in the tape notes when they last could be read; gaps are left out.');
            $apart = $work->plan->endsApart($run);
            if ($apart !== null) {
                $figures[] = new Figure($run->name().': ends apart', $apart, 'm', 2, 'd', [new Input('d', 'straight line between the two ends', $apart, 'm')],
                    'Within 1 m the eye compares the two ends: the seam rule applies.', 'common practice, no source');
            }
        }

        return $figures;
    }

    /** @return array{float, float} */
    private static function point(Point $p): array
    {
        return [round($p->x, 4), round($p->y, 4)];
    }
}
