<?php

declare(strict_types=1);

namespace App\Screens\Build;

use EmberDusk\Job\JobState;
use EmberDusk\Parts\Bar;
use EmberDusk\Parts\Mark;
use EmberDusk\Schedule\Slot;
use EmberDusk\Schedule\Step;
use EmberDusk\Schedule\Timetable;

/** The sheets that go along: a day sheet for each day of work, and the list to pack the van by. */
final readonly class Papers
{
    /**
     * @return list<array{day: string, people: int, end: string, rows: list<array{from: string, to: string,
     *     who: string, title: string, place: string, why: string, caution: string, minutes: int, note: string}>,
     *     tools: list<string>, parts: list<array{name: string, state: string}>}>
     */
    public static function days(JobState $state): array
    {
        $remaining = $state->schedule()->remaining();
        $days = [];
        foreach ($remaining->timetable->worked() as $day) {
            $slots = array_values(
                array_filter($remaining->timetable->slots, static fn(Slot $s): bool => $s->day === $day),
            );
            $steps = array_map(static fn(Slot $s): Step => $s->step, $slots);
            $days[] = [
                'day' => $day,
                'people' => $remaining->days->people($remaining->days->on($day)),
                'end' => self::clock(max([0, ...array_map(static fn(Slot $s): int => $s->to, $slots)])),
                'rows' => array_map(self::row(...), $slots),
                'tools' => self::tools($steps),
                'parts' => self::parts($state, $steps),
            ];
        }

        return $days;
    }

    /**
     * Parts by the day of first use; unused ones last.
     *
     * @return array{groups: list<array{day: string, parts: list<array{name: string, buy: string, state: string,
     *     for: string}>}>, tools: list<string>, offcuts: list<string>}
     */
    public static function van(JobState $state): array
    {
        $schedule = $state->schedule();
        $remaining = $schedule->remaining();
        $groups = [];
        foreach ($schedule->parts->parts as $part) {
            $steps = array_filter($remaining->left, static fn(Step $s): bool => in_array($part->key, $s->needs, true));
            if ($steps === []) {
                $first = null;
            } else {
                $first = min(array_map(static fn(Step $s): int => $remaining->timetable->begins[$s->id], $steps));
            }
            $groups[$first === null ? '' : substr($remaining->days->starts($first), 0, 10)][] = [
                'name' => $part->name,
                'buy' => $part->say($part->buy),
                'state' => Mark::STATES[$schedule->mark($part)->state] ?? '',
                'for' => implode('; ', array_slice(array_keys($part->why), 0, 3)) . (count($part->why) > 3 ? ' …' : ''),
            ];
        }
        uksort($groups, static fn(string $a, string $b): int => [$a === '', $a] <=> [$b === '', $b]);
        $offcuts = [];
        foreach ($schedule->parts->cuts as $cut) {
            foreach (array_filter($cut->bars, static fn(Bar $b): bool => $b->offcut) as $bar) {
                $offcuts[] = sprintf('%s, offcut of %.2f m', $cut->name, $bar->length / 1000);
            }
        }

        return [
            'groups' => array_map(
                static fn(string $day, array $parts): array => ['day' => $day, 'parts' => $parts],
                array_keys($groups),
                array_values($groups),
            ),
            'tools' => self::tools(array_values($remaining->left)),
            'offcuts' => $offcuts,
        ];
    }

    /** @return array{from: string, to: string, who: string, title: string, place: string, why: string, caution: string, minutes: int, note: string} */
    private static function row(Slot $slot): array
    {
        $note = match (true) {
            !$slot->last => 'Continues the next day.',
            $slot->short => 'It takes two people.',
            $slot->step->wait > 0 => sprintf('Then it cures %g h.', $slot->step->wait / 60),
            default => '',
        };

        return [
            'from' => self::clock($slot->from),
            'to' => self::clock($slot->to),
            'who' => implode(' and ', array_map(static fn(int $p): string => (string) ($p + 1), $slot->people)),
            'title' => $slot->step->title,
            'place' => $slot->step->place,
            'why' => $slot->step->why,
            'caution' => $slot->step->caution,
            'minutes' => $slot->step->minutes,
            'note' => $note,
        ];
    }

    /**
     * @param  list<Step>  $steps
     * @return list<string>
     */
    private static function tools(array $steps): array
    {
        $tools = array_values(
            array_unique(array_merge([], ...array_map(static fn(Step $s): array => $s->tools, $steps))),
        );
        sort($tools);

        return $tools;
    }

    /**
     * @param  list<Step>  $steps
     * @return list<array{name: string, state: string}> parts of the steps, with their state
     */
    private static function parts(JobState $state, array $steps): array
    {
        $needs = array_unique(array_merge([], ...array_map(static fn(Step $s): array => $s->needs, $steps)));

        return array_values(
            array_map(
                static fn(string $id): array => [
                    'name' => BuildScreen::kit($state, $id),
                    'state' => Mark::STATES[($state->marks[$id] ?? new Mark())->state] ?? '',
                ],
                $needs,
            ),
        );
    }

    private static function clock(int $minute): string
    {
        return sprintf('%02d:%02d', Timetable::BEGINS + intdiv($minute, 60), $minute % 60);
    }
}
