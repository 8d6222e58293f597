<?php

declare(strict_types=1);

namespace EmberDusk\Job;

use EmberDusk\Bench\Tests\Tests;
use EmberDusk\Costing\Quote;
use EmberDusk\Parts\Mark;
use EmberDusk\Parts\Part;
use EmberDusk\Parts\PartsList;
use EmberDusk\Schedule\Arrangement;
use EmberDusk\Schedule\Day;
use EmberDusk\Schedule\Labour;
use EmberDusk\Schedule\RemainingWork;
use EmberDusk\Schedule\Step;
use EmberDusk\Schedule\Steps;
use EmberDusk\Schedule\Timetable;
use EmberDusk\Schedule\Visit;
use EmberDusk\Values\InvalidInput;

/** Basis of Parts, Build and the quote: the parts list, the steps, and the remaining work on its days. Made once per request. */
final class Schedule
{
    /** A day to begin on where there is no clock: a Monday. */
    private const SOME_DAY = '2001-01-01';

    public readonly PartsList $parts;

    /** @var list<Step> */
    public readonly array $steps;

    /** @var array<string, string> day on which a part comes, by shelf id */
    public readonly array $arrivals;

    private ?string $circle = null;

    private ?RemainingWork $remaining = null;

    public function __construct(private readonly JobState $state)
    {
        $basis = $state->basis();
        $this->parts = PartsList::for($state->plan, $basis->shelf, $basis->offcuts);
        $this->steps = Steps::for($state->plan, $this->parts, $basis->crew);
        $arrivals = [];
        foreach ($this->parts->parts as $part) {
            $day = $this->arrival($part);
            if ($day !== null) {
                $arrivals[$part->key] = $day;
            }
        }
        $this->arrivals = $arrivals;
    }

    public function remaining(): RemainingWork
    {
        return $this->remaining ??= $this->laid($this->arrivals);
    }

    /** Error in the added waits, which are then ignored; null if there is none. */
    public function circle(): ?string
    {
        $this->remaining();

        return $this->circle;
    }

    /** The work as it would go if every part were here. */
    public function unhindered(): RemainingWork
    {
        return $this->laid([]);
    }

    public function today(): string
    {
        if ($this->state->today === '') {
            return self::SOME_DAY;
        }

        return $this->state->today;
    }

    /** As it was set; where nothing was, one person from today on, or from tomorrow where today has begun and nothing is done yet. */
    public function arrangement(): Arrangement
    {
        $set = $this->state->arrangement;
        $begun = $this->state->ticks === [] && $this->state->time >= sprintf('%02d:00', Timetable::BEGINS);
        if ($set->visits !== []) {
            return $set;
        }

        return new Arrangement(
            [new Visit($begun ? Day::after($this->today()) : $this->today())],
            $set->weekends,
            $set->pins,
            $set->waits,
        );
    }

    /**
     * The step or test of that id; a test's id is its step's, a slash and its own.
     *
     * @throws InvalidInput when the plan has no such step
     */
    public function tickable(string $id): Tickable
    {
        $of = explode('/', $id)[0];
        $tests = $of === $id ? [] : array_column(Tests::for($this->state->plan), 'title', 'id');
        foreach ($this->steps as $step) {
            if ($step->id === $of && ($of === $id || isset($tests[$id]))) {
                return new Tickable($step, $tests[$id] ?? "{$step->place}: {$step->title}");
            }
        }

        throw InvalidInput::at(
            '/step',
            'The plan was changed: the job no longer has this step. Your tick was not saved.',
        );
    }

    /** Unrounded minutes of all people together for all steps, done or not, travel and the follow-up visit with them. */
    public function labour(): Labour
    {
        $basis = $this->state->basis();

        return Labour::for($this->steps, $basis->arrangement, $basis->crew, $this->state->plan->terms);
    }

    public function quote(): Quote
    {
        return Quote::for($this->parts, $this->steps, $this->state->plan->terms, $this->state->basis());
    }

    public function mark(Part $part): Mark
    {
        return $this->state->marks[$part->key] ?? new Mark();
    }

    /** The day on which a part comes that is not here: as ordered, or if it were ordered today; null when nothing has to be waited for. */
    private function arrival(Part $part): ?string
    {
        $mark = $this->mark($part);

        return match (true) {
            $mark->state === 'ordered' => $mark->arrives === null ? null : max($mark->arrives, $this->today()),
            $mark->state === '' && $part->paid() > 0 && $part->lead > 0 => Day::after(
                $this->today(),
                (int) ceil($part->lead),
            ),
            default => null,
        };
    }

    /** @param  array<string, string>  $arrivals */
    private function laid(array $arrivals): RemainingWork
    {
        $state = $this->state;
        try {
            return RemainingWork::for(
                steps: $this->steps,
                arrangement: $this->arrangement(),
                ticks: $state->ticks,
                arrivals: $arrivals,
                now: trim("{$this->today()} {$state->time}"),
            );
        } catch (InvalidInput $refusal) {
            // The plan may have changed under waits that were added: the order of the trade alone never goes in a circle.
            $this->circle = $refusal->getMessage();

            return RemainingWork::for(
                steps: $this->steps,
                arrangement: new Arrangement(
                    $this->arrangement()->visits,
                    $state->arrangement->weekends,
                    $state->arrangement->pins,
                ),
                ticks: $state->ticks,
                arrivals: $arrivals,
                now: trim("{$this->today()} {$state->time}"),
            );
        }
    }
}
