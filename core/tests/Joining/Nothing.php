<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\Belief\Belief;
use EmberDusk\Joining\Belief\Chooser;
use EmberDusk\Joining\Belief\Suspect;

/** A baseline: nothing is looked at; everything is reset and done once more. */
final readonly class Nothing implements Chooser
{
    public function next(Belief $belief, array $suspects): ?Suspect
    {
        return null;
    }
}
