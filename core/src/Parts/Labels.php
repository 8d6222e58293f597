<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\WallNotes;

/** A label for each end of each cable and leg, each supply and each controller: its name and the place of the other end. */
final readonly class Labels
{
    private function __construct(private Plan $plan) {}

    /** @return list<array{key: string, title: string, lines: list<string>, stage: string, of: string}> */
    public static function for(Plan $plan): array
    {
        return (new self($plan))->all();
    }

    /** @return list<array{key: string, title: string, lines: list<string>, stage: string, of: string}> */
    private function all(): array
    {
        $labels = [];
        foreach (['supplies' => $this->plan->supplies, 'controllers' => $this->plan->controllers] as $list => $units) {
            foreach ($units as $id => $unit) {
                $runs = array_map(
                    static fn(Run $r): string => $r->name(),
                    array_values(
                        array_filter(
                            $this->plan->runs,
                            static fn(Run $r): bool => ($list === 'supplies' ? $r->supply : $r->controller) === $id,
                        ),
                    ),
                );
                $name = $this->plan->lights[$id]->name ?? '';
                $labels[] = [
                    'key' => $id,
                    'title' => strtoupper($id),
                    'lines' => array_values(
                        array_filter([
                            $this->plan->kit[$unit->kit]->entry->name(),
                            'for ' . implode(', ', $runs) . ($name === '' ? '' : ", voice name “{$name}”"),
                            $unit->where() === '' ? '' : "at {$unit->where()}",
                        ]),
                    ),
                    'stage' => 'wire',
                    'of' => $id,
                ];
            }
        }
        foreach ($this->plan->cables as $cable) {
            foreach (
                ['a' => [$cable->from, $cable->to], 'b' => [$cable->to, $cable->from]]
                as $end => [$here, $there]
            ) {
                $labels[] = [
                    'key' => "{$cable->id}{$end}",
                    'title' => strtoupper($cable->id),
                    'lines' => ['to ' . $this->end($there), 'here: ' . $this->end($here), $this->what($cable)],
                    'stage' => 'wire',
                    'of' => $cable->id,
                ];
            }
        }
        foreach ($this->plan->places as $id => $place) {
            foreach (WallNotes::read($place->notes)->site->legs as $leg) {
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

    private function end(string $id): string
    {
        $feed = $this->plan->feeds[$id] ?? null;
        if ($feed === null) {
            return strtoupper($id);
        }
        $run = $this->plan->run($feed->run);

        return sprintf(
            '%s at %s',
            $run->name(),
            $this->plan->terms->say($this->plan->of($run)->marks()->position($feed->pad)),
        );
    }

    private function what(LaidCable $cable): string
    {
        $kit = $this->plan->cable($cable->kit);

        return ($kit === null ? '' : "{$kit->cores} x {$kit->conductor->label()}, ") .
            $this->plan->terms->say($cable->length) .
            ($cable->fuse === null ? '' : ', fused ' . ($this->plan->fuse($cable->fuse)->amps ?? '') . ' A');
    }
}
