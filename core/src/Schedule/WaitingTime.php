<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

/** Waits for curing and parts on the way, and the work possible meanwhile. */
final readonly class WaitingTime
{
    public function __construct(private RemainingWork $remaining) {}

    /**
     * @return list<array{step: string, part: string, from: string, until: string, meanwhile: list<string>}> the step
     *     that cures, or the first that waits for a part; times of the clock; ids of the steps that are done in
     *     between
     */
    public function for(): array
    {
        $waits = [];
        $timetable = $this->remaining->timetable;
        foreach ($this->remaining->left as $id => $step) {
            if ($step->wait > 0) {
                $from = $timetable->begins[$id] + $step->minutes;
                $waits[] = [
                    'step' => $id,
                    'part' => '',
                    'from' => $this->remaining->days->clock($from),
                    'until' => $this->remaining->days->clock($timetable->ends[$id]),
                    'meanwhile' => $this->between($from, $timetable->ends[$id], [$id]),
                ];
            }
        }
        foreach ($this->remaining->here as $part => $until) {
            $waiting = array_keys(
                array_filter($this->remaining->left, static fn(Step $s): bool => in_array($part, $s->needs, true)),
            );
            usort($waiting, static fn(string $a, string $b): int => $timetable->begins[$a] <=> $timetable->begins[$b]);
            if ($until > 0 && $waiting !== []) {
                $waits[] = [
                    'step' => $waiting[0],
                    'part' => $part,
                    'from' => $this->remaining->days->starts(0),
                    'until' => $this->remaining->days->starts($until),
                    'meanwhile' => $this->between(0, $until, $waiting),
                ];
            }
        }

        usort($waits, static fn(array $a, array $b): int => [$a['from'], $a['until']] <=> [$b['from'], $b['until']]);

        return $waits;
    }

    /**
     * @param  list<string>  $without
     * @return list<string>
     */
    private function between(int $from, int $until, array $without): array
    {
        $done = array_filter(
            $this->remaining->timetable->begins,
            fn(int $at, string $id): bool => $at < $until &&
                $at + $this->remaining->left[$id]->minutes > $from &&
                !in_array($id, $without, true),
            ARRAY_FILTER_USE_BOTH,
        );
        asort($done);

        return array_keys($done);
    }
}
