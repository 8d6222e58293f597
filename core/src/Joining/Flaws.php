<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Joining\Belief\Suspect;
use EmberDusk\Joining\Order\Order;
use EmberDusk\Values\Dice;

/** Every fault that the devices of a job can have. */
final readonly class Flaws
{
    /** A join that fails once, with nothing wrong. */
    public const MISSED = 'missed-once';

    public function __construct(private Roster $roster) {}

    /** @return array<string, Flaw> by KIND@DEVICE */
    public function for(): array
    {
        $flaws = array_map(static fn(Suspect $s): Flaw => new Flaw($s->code, $s->device), $this->suspects());
        foreach (Order::for($this->roster) as $task) {
            if (
                $task->what === Task::JOIN &&
                $this->roster->unit($task->device)->lights() &&
                Families::say($this->roster->unit($task->device), FamilyFact::CanMiss)
            ) {
                $flaw = new Flaw(self::MISSED, $task->device);
                $flaws[$flaw->key()] = $flaw;
            }
        }
        ksort($flaws, SORT_NATURAL);

        return $flaws;
    }

    /** @return array<string, Suspect> everything that could be looked at, by KIND@DEVICE */
    public function suspects(): array
    {
        $suspects = [];
        foreach (Order::for($this->roster) as $task) {
            if ($task->tries()) {
                continue;
            }
            foreach (Families::get($task->family)->suspects($task, $this->roster) as $suspect) {
                $suspects[$suspect->key()] ??= $suspect;
            }
        }

        return $suspects;
    }

    /**
     * Some of them, drawn by a seed.
     *
     * @return array<string, Flaw> by KIND@DEVICE
     */
    public function drawn(int $seed, int $count): array
    {
        $left = $this->for();
        $dice = new Dice($seed);
        $drawn = [];
        for ($n = 0; $n < $count && $left !== []; $n++) {
            $key = array_keys($left)[
                min(count($left) - 1, (int) floor($dice->between(0, count($left), "hidden {$n}")))
            ];
            $drawn[$key] = $left[$key];
            unset($left[$key]);
        }

        return $drawn;
    }
}
