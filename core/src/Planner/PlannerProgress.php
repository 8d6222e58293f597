<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** Counts solves, reports progress, and ends the search on request. */
final class PlannerProgress
{
    public int $solved = 0;

    private bool $stopped = false;

    private int $grace = 0;

    /** @param  (callable(int, string): bool)|null  $look receives the number of solves and the current subject; true ends the search */
    public function __construct(private $look = null) {}

    /** @throws SearchStopped */
    public function step(string $what): void
    {
        if ($this->grace-- > 0) {
            $this->solved++;

            return;
        }
        $this->look($what);
        $this->solved++;
    }

    /**
     * Someone may want to end it where nothing is solved for long.
     *
     * @throws SearchStopped
     */
    public function look(string $what): void
    {
        if ($this->stopped || ($this->look !== null && ($this->look)($this->solved, $what))) {
            $this->stopped = true;
            throw new SearchStopped();
        }
    }

    /** A few more solves after the stop, to end with a complete layout. */
    public function grace(int $steps): void
    {
        $this->grace = $steps;
    }

    public function stopped(): bool
    {
        return $this->stopped;
    }
}
