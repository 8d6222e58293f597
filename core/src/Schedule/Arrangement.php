<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Formats\Fields;
use EmberDusk\Values\Copies;

/** Arrangement of the work: the visits, moved steps, and added waits. */
final readonly class Arrangement
{
    use Copies;

    public const MOST_VISITS = 20;

    /**
     * @param  list<Visit>  $visits  by their first day; none is one person from today
     * @param  bool  $weekends  whether there is work on Saturdays and Sundays
     * @param  array<string, Pin>  $pins  by step
     * @param  list<array{string, string}>  $waits  a step and one that it also comes after
     */
    public function __construct(
        public array $visits = [],
        public bool $weekends = false,
        public array $pins = [],
        public array $waits = [],
    ) {}

    /** @throws \EmberDusk\Values\Refusal at the first value that cannot be */
    public static function read(Fields $f): self
    {
        $visits = array_map(Visit::read(...), $f->objects('visits'));
        if (count($visits) > self::MOST_VISITS) {
            throw $f->invalid('visits', sprintf('A job has at most %d visits.', self::MOST_VISITS));
        }
        usort($visits, static fn(Visit $a, Visit $b): int => $a->from <=> $b->from);
        foreach ($visits as $n => $visit) {
            if ($n > 0 && $visits[$n - 1]->from === $visit->from) {
                throw $f->invalid(
                    "visits/{$n}/from",
                    "Two visits start on {$visit->from}. Give one of them another day, or remove it.",
                );
            }
        }
        $pins = [];
        foreach ($f->objects('pins') as $pin) {
            $read = Pin::read($pin);
            $pins[$read->step] = $read;
        }

        return new self(
            $visits,
            $f->flag('weekends'),
            $pins,
            array_map(
                static fn(Fields $w): array => [$w->string('step', 60), $w->string('after', 60)],
                $f->objects('waits'),
            ),
        );
    }

    /** @return array<string, mixed> */
    public function write(): array
    {
        return [
            'visits' => array_map(static fn(Visit $v): array => $v->write(), $this->visits),
            'weekends' => $this->weekends,
            'pins' => array_map(static fn(Pin $p): array => $p->write(), array_values($this->pins)),
            'waits' => array_map(static fn(array $w): array => ['step' => $w[0], 'after' => $w[1]], $this->waits),
        ];
    }

    /** With one step moved; null puts it back to where the schedule would have it. */
    public function moved(string $step, ?Pin $pin): self
    {
        $others = array_diff_key($this->pins, [$step => true]);

        return $this->withChanged(pins: $pin === null ? $others : $others + [$step => $pin]);
    }

    /** People who work at a step: no more than there ever are. */
    public function people(Step $step): int
    {
        return min($step->people, max([1, ...array_map(static fn(Visit $v): int => $v->people, $this->visits)]));
    }

    /** Ways back and forth of all people: one a visit and person. */
    public function journeys(): int
    {
        if ($this->visits === []) {
            return 1;
        }

        return array_sum(array_map(static fn(Visit $v): int => $v->people, $this->visits));
    }

    /** With one more wait, or without it. */
    public function waiting(string $step, string $after, bool $on): self
    {
        $others = array_values(array_filter($this->waits, static fn(array $w): bool => $w !== [$step, $after]));

        return $this->withChanged(waits: $on ? [...$others, [$step, $after]] : $others);
    }

    /**
     * Steps with the waits that were added; those whose steps are not there any more count nothing.
     *
     * @param  list<Step>  $steps
     * @return list<Step>
     */
    public function order(array $steps): array
    {
        $there = array_fill_keys(array_map(static fn(Step $s): string => $s->id, $steps), true);

        return array_map(function (Step $s) use ($there): Step {
            $more = array_column(
                array_filter($this->waits, static fn(array $w): bool => $w[0] === $s->id && isset($there[$w[1]])),
                1,
            );
            if ($more === []) {
                return $s;
            }

            return $s->after([...$s->after, ...$more]);
        }, $steps);
    }
}
