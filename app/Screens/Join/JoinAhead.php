<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\StepsAhead;
use EmberDusk\Plan\Plan;

/** The next steps of an on-site run for each answer, for a device that may lose its connection. */
final readonly class JoinAhead implements View
{
    use WrittenRecord;

    /** @param  array<string, self>  $next  by key of the answer */
    public function __construct(
        public JoinStepView $step,
        public float $at,
        #[Field(of: self::class, map: true)] public array $next,
    ) {}

    public static function for(StepsAhead $ahead, Roster $roster, Plan $plan): self
    {
        return new self(
            step: JoinPicture::step($ahead->step, $roster, $plan, onSite: true),
            at: $ahead->at,
            next: array_map(static fn(StepsAhead $a): self => self::for($a, $roster, $plan), $ahead->next),
        );
    }
}
