<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Belief;

/** Chooses the next cause to check. */
interface Chooser
{
    /** @param  array<string, Suspect>  $suspects suspects not yet checked, by key */
    public function next(Belief $belief, array $suspects): ?Suspect;
}
