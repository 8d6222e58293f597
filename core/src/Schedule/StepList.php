<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Rates\Productivity;
use EmberDusk\Rates\StepMinutes;

/** The steps of a job as they are written down, each with its minutes and with the parts that it needs here. */
final class StepList
{
    /** Groups of the parts list that must be here for a step. */
    private const NEEDS = [
        'dry' => ['Strip'],
        'supply' => ['Supply', 'Controller'],
        'cables' => ['Cable', 'Fuse'],
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

    /** @return list<Step> as they were added */
    public function steps(): array
    {
        return $this->steps;
    }

    /**
     * @param  list<string>  $tools
     * @param  list<string>  $after
     */
    public function ofRun(
        Run $run,
        string $kind,
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
            of: $run->id,
            place: $this->plan->places[$run->place]->name ?? '',
            title: "{$run->name()}: {$title}",
            why: $why,
            units: $units,
            people: $people,
            tools: $tools,
            caution: $caution,
            after: $after,
            wait: $wait,
            needs: $this->needs($kind, $run),
        );
    }

    /**
     * @param  list<string>  $tools
     * @param  list<string>  $after
     * @param  list<string>  $needs
     */
    public function add(
        string $kind,
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
        $table = Productivity::fives(StepMinutes::MINUTES[$kind] * $units);
        $this->steps[] = new Step(
            id: "{$kind}-{$of}",
            kind: $kind,
            place: $place,
            title: $title,
            why: $why,
            units: $units,
            table: $table,
            minutes: $this->productivity->minutes($kind, $table),
            range: $this->productivity->range($kind, $table),
            people: $people,
            tools: $tools,
            caution: $caution,
            after: $after,
            wait: $wait,
            needs: $needs,
        );

        return "{$kind}-{$of}";
    }

    /** @return list<string> */
    private function needs(string $kind, Run $run): array
    {
        return array_merge(
            ...array_map(fn(string $group): array => $this->parts[$group][$run->id] ?? [], self::NEEDS[$kind] ?? []),
        );
    }
}
