<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Ratings;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Values\Range;

/** A quantity that a rating of a kit entry is compared with, such as the volts at its input. */
interface Quantity
{
    /** Code of the findings about it. */
    public function code(): string;

    /** Subject of its findings: run, supply, controller, cable, fixture, module, item. */
    public function subject(): string;

    /** The rule in words, with its usual limit. */
    public function rule(): string;

    public function unit(): string;

    /** Lowest and highest value at full light, in the scenes and over a battery's volts; null where there is none. */
    public function range(JudgedJob $job, KitUse $part): ?Range;

    /** Whether a safe limit may replace a missing one here; false if another check judges it here. */
    public function assumes(JudgedJob $job, KitUse $part): bool;

    /** Such as "14.4 V at its input, rated 13.2 V". */
    public function words(float $number, float $limit, bool $most): string;

    /** Consequence of exceeding the limit, and advice. */
    public function advice(): string;
}
