<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Severity;

/** Description of a check for the list of checks and the table of sources: code, subject, limit as text, source. */
final readonly class Rule
{
    public const PRACTICE = 'common practice, no source';

    public const LEAFLET = 'the instructions, on the shelf';

    /** Derived from the job's own data: notes, plan, marks. */
    public const OWN = 'the job itself';

    /**
     * @param  string  $subject subject: run, supply, controller, unit, cable, joint, fixture, module, item, place, part, step, test, job
     * @param  string  $says  in words, with its limit
     * @param  PlannerLimit|null  $binds  the planner's limit that it is, also where it only warns; null where the planner decides nothing of it
     */
    public function __construct(
        public string $code,
        public string $subject,
        public string $says,
        public string $source,
        public ?PlannerLimit $binds = null,
    ) {}

    /**
     * A finding that stops the job.
     *
     * @param  list<Fix>  $fixes
     * @param  string|null  $source  where it is more exact than the rule's
     */
    public function stop(
        FindingPlace $place,
        string $title,
        string $detail,
        ?float $number = null,
        ?float $limit = null,
        ?string $source = null,
        array $fixes = [],
        bool $asks = false,
    ): Finding {
        return $this->finding(Severity::Stop, $place, $title, $detail, $number, $limit, $source, $fixes, $asks);
    }

    /**
     * A finding that warns.
     *
     * @param  list<Fix>  $fixes
     * @param  string|null  $source  where it is more exact than the rule's
     */
    public function watch(
        FindingPlace $place,
        string $title,
        string $detail,
        ?float $number = null,
        ?float $limit = null,
        ?string $source = null,
        array $fixes = [],
        bool $asks = false,
    ): Finding {
        return $this->finding(Severity::Watch, $place, $title, $detail, $number, $limit, $source, $fixes, $asks);
    }

    /**
     * A finding that something is undecided.
     *
     * @param  list<Fix>  $fixes
     * @param  string|null  $source  where it is more exact than the rule's
     */
    public function open(
        FindingPlace $place,
        string $title,
        string $detail,
        ?float $number = null,
        ?float $limit = null,
        ?string $source = null,
        array $fixes = [],
        bool $asks = false,
    ): Finding {
        return $this->finding(Severity::Open, $place, $title, $detail, $number, $limit, $source, $fixes, $asks);
    }

    /**
     * A finding of this rule.
     *
     * @param  list<Fix>  $fixes
     * @param  string|null  $source  where it is more exact than the rule's
     */
    public function finding(
        Severity $severity,
        FindingPlace $place,
        string $title,
        string $detail,
        ?float $number = null,
        ?float $limit = null,
        ?string $source = null,
        array $fixes = [],
        bool $asks = false,
    ): Finding {
        return new Finding(
            code: $this->code,
            severity: $severity,
            title: $title,
            detail: $detail,
            place: $place,
            number: $number,
            limit: $limit,
            // Nobody asks where the job's own data come from.
            source: $source ?? ($this->source === self::OWN ? '' : $this->source),
            fixes: $fixes,
            asks: $asks,
        );
    }
}
