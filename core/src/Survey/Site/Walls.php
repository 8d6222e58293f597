<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Site;

use EmberDusk\Survey\Leg;

/** The walls of some wall notes as one line of them sees these: all of them, and how many were typed before it. */
final readonly class Walls
{
    /**
     * @param  list<Leg>  $legs  of all the text
     * @param  int  $before  typed before the line; 0 once the walls are closed
     */
    public function __construct(public array $legs, public int $before) {}

    /**
     * Leg and metres from its start, for metres measured along the walls of a run from where it begins; null if it does not reach so far.
     *
     * @return array{int, float}|null
     */
    public function along(string $run, float $metres): ?array
    {
        foreach ($this->legs as $n => $leg) {
            if (!in_array($run, $leg->runs, true)) {
                continue;
            }
            if ($metres <= $leg->length + 1e-9) {
                return [$n, $metres];
            }
            $metres -= $leg->length;
        }

        return null;
    }

    public function has(string $run): bool
    {
        return array_filter($this->legs, static fn(Leg $l): bool => in_array($run, $l->runs, true)) !== [];
    }
}
