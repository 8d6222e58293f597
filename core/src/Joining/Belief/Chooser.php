<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Belief;

/** Chooses what is looked at next. */
interface Chooser
{
    /** @param  array<string, Suspect>  $suspects  those that may still be looked at, by key */
    public function next(Belief $belief, array $suspects): ?Suspect;
}
