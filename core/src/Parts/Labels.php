<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\TapeNotes;

/** A label for each end of each cable and leg, each supply and each controller: its name and the place of the other end. */
final readonly class Labels
{
    /** @return list<array{key: string, title: string, lines: list<string>, stage: string, of: string}> */
    public static function for(Plan $plan): array
    {
        $labels = [];
        foreach (['supplies' => $plan->supplies, 'controllers' => $plan->controllers] as $list => $units) {
            foreach ($units as $id => $unit) {
                $runs = array_map(
                    static fn(Run $r): string => $r->name(),
                    array_values(
                        array_filter(
                            $plan->runs,
                            static fn(Run $r): bool => ($list === 'supplies' ? $r->supply : $r->controller) === $id,
                        ),
                    ),
                );
                $name = $plan->lights[$id]->name ?? '';
                $labels[] = [
                    'key' => $id,
                    'title' => strtoupper($id),
                    'lines' => array_values(
                        array_filter([
                            $plan->kit[$unit->kit]->entry->name(),
                            'for ' . implode(', ', $runs) . ($name === '' ? '' : ", voice name “{$name}”"),
                            $unit->where() === '' ? '' : "at {$unit->where()}",
                        ]),
                    ),
                    'stage' => 'wire',
                    'of' => $id,
                ];
            }
        }
        foreach ($plan->cables as $cable) {
            foreach (
                ['a' => [$cable->from, $cable->to], 'b' => [$cable->to, $cable->from]]
                as $end => [$here, $there]
            ) {
                $labels[] = [
                    'key' => "{$cable->id}{$end}",
                    'title' => strtoupper($cable->id),
                    'lines' => [
                        'to ' . self::end($plan, $there),
                        'here: ' . self::end($plan, $here),
                        self::what($plan, $cable),
                    ],
                    'stage' => 'wire',
                    'of' => $cable->id,
                ];
            }
        }
        foreach ($plan->places as $id => $place) {
            foreach (TapeNotes::read($place->notes)->site->legs as $leg) {
                foreach ([[$leg->from, $leg->to ?? '?'], [$leg->to ?? '?', $leg->from]] as $n => [$here, $there]) {
                    $labels[] = [
                        'key' => "{$id}-{$leg->name}-{$n}",
                        'title' => "Leg {$leg->name}",
                        'lines' => [
                            "to {$there}",
                            "here: {$here}",
                            "{$leg->cores} x {$leg->conductor->label()}, {$place->name}" .
                            ($leg->traced ? ', traced' : ', not traced'),
                        ],
                        'stage' => 'survey',
                        'of' => $id,
                    ];
                }
            }
        }

        return $labels;
    }

    private static function end(Plan $plan, string $id): string
    {
        $feed = $plan->feeds[$id] ?? null;
        if ($feed === null) {
            return strtoupper($id);
        }
        $run = $plan->run($feed->run);

        return sprintf(
            '%s at %s',
            $run->name(),
            $plan->terms->say($plan->cutMarks($run)?->position($feed->pad) ?? 0.0),
        );
    }

    private static function what(Plan $plan, LaidCable $cable): string
    {
        $kit = $plan->cable($cable->kit);

        return ($kit === null ? '' : "{$kit->cores} x {$kit->conductor->label()}, ") .
            $plan->terms->say($cable->length) .
            ($cable->fuse === null ? '' : ', fused ' . ($plan->fuse($cable->fuse)->amps ?? '') . ' A');
    }
}
