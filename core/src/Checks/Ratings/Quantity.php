<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Ratings;

use EmberDusk\Checks\Judged;
use EmberDusk\Values\Range;

/** A quantity that a rating of a kit entry is compared with, such as the volts at its input. */
interface Quantity
{
    /** Code of the findings about it. */
    public function code(): string;

    /** What its findings judge: run, supply, controller, cable, fixture, module, item. */
    public function subject(): string;

    /** The rule in words, with its usual limit. */
    public function rule(): string;

    public function unit(): string;

    /** Lowest and highest value at full light, in the scenes and over a battery's volts; null where there is none. */
    public function of(Judged $job, Fitted $part): ?Range;

    /** Whether a safe limit may stand in for a missing one at this place; not where another check judges it there. */
    public function assumes(Judged $job, Fitted $part): bool;

    /** Such as "14.4 V at its input, rated 13.2 V". */
    public function words(float $number, float $limit, bool $most): string;

    /** What happens beyond the limit, and what to do. */
    public function advice(): string;
}
