<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Rates\Productivity;
use EmberDusk\Rates\Work;

/** The steps of a job, each with its minutes and its parts. */
final class StepList
{
    /** Groups of the parts list that must be here for a step. */
    private const NEEDS = [
        'dry' => ['Strip'],
        'supply' => ['Supply', 'Controller'],
        'cables' => ['Cable', 'Fuse', 'Terminal'],
        'posts' => ['Terminal'],
        'strain' => ['Strain relief'],
        'profile' => ['Profile', 'Fixing'],
        'stick' => ['Fixing', 'Cleaning'],
        'joints' => ['Joint', 'Solder'],
        'seal' => ['Sealing'],
        'diffuser' => ['Diffuser'],
    ];

    /** @var list<Step> */
    private array $steps = [];

    /** @var array<string, array<string, list<string>>> shelf ids by group and run */
    private array $parts = [];

    public function __construct(
        private readonly Plan $plan,
        PartsList $list,
        private readonly Productivity $productivity,
    ) {
        foreach ($list->parts as $part) {
            foreach ($part->runs as $run) {
                $this->parts[$part->group][$run][] = $part->key;
            }
        }
    }

    /** @return list<Step> in the order added */
    public function steps(): array
    {
        return $this->steps;
    }

    /**
     * @param  list<string>  $tools
     * @param  list<string>  $after
     */
    public function addFor(
        Run|Fitting $of,
        Work $kind,
        string $title,
        string $why,
        float $units,
        int $people,
        array $tools,
        array $after,
        string $caution = '',
        int $wait = 0,
    ): string {
        return $this->add(
            kind: $kind,
            of: $of->id,
            place: $this->plan->places[$of->place]->name ?? '',
            title: "{$this->name($of)}: {$title}",
            why: $why,
            units: $units,
            people: $people,
            tools: $tools,
            caution: $caution,
            after: $after,
            wait: $wait,
            needs: $this->needs($kind, $of->id),
        );
    }

    /** The step that makes joints after another; that other where there are none. */
    public function joints(Run|Fitting $of, RunJoints $joints, string $after, string $when = ''): string
    {
        if ($joints->count === 0) {
            return $after;
        }

        return $this->addFor(
            of: $of,
            kind: Work::Joints,
            title: $joints->words(),
            why: trim("{$joints->why()} {$when}"),
            units: $joints->units(),
            people: 1,
            tools: $joints->tools(),
            caution: $joints->caution(),
            after: [$after],
        );
    }

    /**
     * @param  list<string>  $tools
     * @param  list<string>  $after
     * @param  list<string>  $needs
     */
    public function add(
        Work $kind,
        string $of,
        string $place,
        string $title,
        string $why,
        float $units,
        int $people,
        array $tools,
        string $caution,
        array $after,
        int $wait = 0,
        array $needs = [],
    ): string {
        $table = $kind->minutes() * $units;
        $work = $table * $this->productivity->factor($kind);
        $this->steps[] = new Step(
            id: "{$kind->value}-{$of}",
            kind: $kind,
            place: $place,
            title: $title,
            why: $why,
            units: $units,
            table: $table,
            work: $work,
            minutes: Productivity::fives($work),
            range: $this->productivity->range($kind, $table),
            people: $people,
            tools: $tools,
            caution: $caution,
            after: $after,
            wait: $wait,
            needs: $needs,
        );

        return "{$kind->value}-{$of}";
    }

    public function name(Run|Fitting $of): string
    {
        if ($of instanceof Run) {
            return $of->name();
        }

        return ($this->plan->kit[$of->kit] ?? null)?->entry->name() ?? $of->id;
    }

    /**
     * Shelf ids of all parts of runs and fixtures.
     *
     * @param  list<Run|Fitting>  $of
     * @return list<string>
     */
    public function partsOf(array $of): array
    {
        $ids = [];
        foreach ($of as $one) {
            array_push(
                $ids,
                ...array_merge(
                    ...array_map(static fn(array $g): array => $g[$one->id] ?? [], array_values($this->parts)),
                ),
            );
            if ($one instanceof Fitting) {
                $ids[] = $one->kit;
            }
        }

        return array_values(array_unique($ids));
    }

    /** @return list<string> shelf ids of what must be here for a kind of step at a run or fixtures */
    private function needs(Work $kind, string $of): array
    {
        return array_merge(
            ...array_map(fn(string $group): array => $this->parts[$group][$of] ?? [], self::NEEDS[$kind->value] ?? []),
        );
    }
}
