<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Joining\Belief\Suspect;
use EmberDusk\Joining\StandIn\Device;
use EmberDusk\Joining\StandIn\Site;

/** What one family of devices brings to joining: its tasks and their steps, what can be wrong with them, and its stand-in. One folder a family. */
interface Family
{
    public function key(): string;

    /** Whether units of that role and way of control are its own. */
    public function takes(string $role, string $way): bool;

    /**
     * What its leaflets must give before anything of it can be joined.
     *
     * @return list<string> gestures, signals and figures that are missing, in words
     */
    public function missing(Unit $unit, Roster $roster): array;

    /**
     * What has to be brought about for what is wanted, in an order that works.
     *
     * @return list<Task>
     */
    public function tasks(Roster $roster): array;

    /**
     * The steps of one of its tasks, in their order.
     *
     * @param  list<Rule>  $dropped  rules of order that are left out
     * @return list<Step>
     */
    public function steps(Task $task, Roster $roster, array $dropped = []): array;

    /**
     * What can be wrong where a task does not go as it should.
     *
     * @return list<Suspect>
     */
    public function suspects(Task $task, Roster $roster): array;

    /** The simulated device of a unit of its own. */
    public function standIn(Unit $unit, Site $site): Device;
}
