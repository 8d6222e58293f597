<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** Ways of feeding that lose too much behind a trunk, by solves. */
final class TrunkProof
{
    /**
     * Ohms of trunks, and volts that the other runs lose in them, behind which a way of feeding fails.
     *
     * @var array<string, list<array{float, float}>>
     */
    private array $refuted = [];

    /** @var array<string, true> ways of feeding with their trunks that were solved */
    private array $asked = [];

    public function __construct(private readonly FeedSolver $solver) {}

    /**
     * Solves a way of feeding behind its trunk, with the least loss of the other runs in it, from the least volts of its supply: more of either, or
     * more lost inside the controller, leaves more lost altogether. Returns whether it loses too much there, which was not known.
     */
    public function refutes(FeedOption $option, FeedRoom $room): bool
    {
        $asked = "{$option->key}/{$room->ohms}/{$room->others}";
        if (
            $option->leg !== null ||
            $room->ohms === 0.0 ||
            isset($this->asked[$asked]) ||
            $this->refuted($option, $room)
        ) {
            return false;
        }
        $this->asked[$asked] = true;
        $run = $this->solver->tables->plan->run($option->run);
        $volts = $this->solver->volts($run);
        $least = FeedBound::source($this->solver->tables, $volts) - $room->others / $volts;
        $lost = ($this->solver->at($run, $option, $least, $room->ohms)->drop ?? 0.0) + $room->others;
        if ($lost <= $this->solver->limit($run) + FeedProof::MISSED) {
            return false;
        }
        $this->refuted[$option->key][] = [$room->ohms, $room->others];

        return true;
    }

    /** Whether a way of feeding fails behind some trunk. */
    public function fails(FeedOption $option): bool
    {
        return isset($this->refuted[$option->key]);
    }

    public function refuted(FeedOption $option, FeedRoom $room): bool
    {
        foreach ($this->refuted[$option->key] ?? [] as [$ohms, $others]) {
            if ($room->ohms >= $ohms - 1e-12 && $room->others >= $others - 1e-12) {
                return true;
            }
        }

        return false;
    }
}
