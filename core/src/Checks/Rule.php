<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

/** What a check says, for "what was checked" and the table of sources: its code, what it judges, its limit in words, on whose word. */
final readonly class Rule
{
    public const PRACTICE = 'common practice, no source';

    public const LEAFLET = 'the leaflet, on the shelf';

    /** What follows from the job's own papers: notes, plan, marks. */
    public const OWN = 'the job itself';

    /**
     * @param  string  $subject  what it judges: run, supply, controller, cable, joint, fixture, module, item, place, part, step, test, job
     * @param  string  $says  in words, with its limit
     * @param  string  $binds  which of the planner's limits it is, also where it only warns; empty where the planner decides nothing of it
     */
    public function __construct(
        public string $code,
        public string $subject,
        public string $says,
        public string $source,
        public string $binds = '',
    ) {}
}
