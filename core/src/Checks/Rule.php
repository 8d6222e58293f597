<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

/** Description of a check for the list of checks and the table of sources: code, subject, limit as text, source. */
final readonly class Rule
{
    public const PRACTICE = 'common practice, no source';

    public const LEAFLET = 'the instructions, on the shelf';

    /** Derived from the job's own data: notes, plan, marks. */
    public const OWN = 'the job itself';

    /**
     * @param  string  $subject subject: run, supply, controller, cable, joint, fixture, module, item, place, part, step, test, job
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
