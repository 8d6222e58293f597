<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\Belief\Belief;
use EmberDusk\Joining\Belief\Chooser;
use EmberDusk\Joining\Belief\Suspect;
use EmberDusk\Values\Dice;

/** A baseline: any safe test, drawn by seed. */
final readonly class AtRandom implements Chooser
{
    public function __construct(private int $seed) {}

    public function next(Belief $belief, array $suspects): ?Suspect
    {
        $keys = array_keys($suspects);
        if ($keys === []) {
            return null;
        }
        // Asked again about the same ones it draws the same.
        $at = (int) floor((new Dice($this->seed))->between(0, count($keys), implode(' ', $keys)));

        return $suspects[$keys[min(count($keys) - 1, $at)]];
    }
}
