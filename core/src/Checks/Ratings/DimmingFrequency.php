<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Ratings;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Values\Range;

/** Frequency that dimming needs where people or cameras work, in hertz (common practice, no source). */
final readonly class DimmingFrequency implements Quantity
{
    private const WANTED = 200.0;

    public function code(): string
    {
        return 'dimming-frequency';
    }

    public function subject(): string
    {
        return 'controller';
    }

    public function rule(): string
    {
        return 'a controller dims at 200 Hz or more where people or cameras work';
    }

    public function unit(): string
    {
        return 'Hz';
    }

    public function range(JudgedJob $job, KitUse $part): ?Range
    {
        foreach ($job->plan->runs as $run) {
            if ($run->controller === $part->id) {
                return new Range(self::WANTED, self::WANTED);
            }
        }

        return null;
    }

    public function assumes(JudgedJob $job, KitUse $part): bool
    {
        return true;
    }

    public function words(float $number, float $limit, bool $most): string
    {
        return sprintf('dims at %g Hz, at least %g Hz needed', $limit, $number);
    }

    public function advice(): string
    {
        return 'Slow dimming flickers to the eye at the edge of view and shows bands in a camera. Choose a controller with a higher frequency.';
    }
}
