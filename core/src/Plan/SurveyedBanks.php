<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Survey\Site\Battery;
use EmberDusk\Survey\WallNotes;

/** The batteries for a run: those of the same place, else, if that has no mains, those of the other places. */
final readonly class SurveyedBanks
{
    /** @return list<array{string, Battery}> each with the id of its place */
    public static function for(Plan $plan, Run $run): array
    {
        $own = self::at($plan, $run->place);
        if ($own !== [] || WallNotes::read($plan->places[$run->place]->notes ?? '')->site->outlets !== []) {
            return $own;
        }
        $others = [];
        foreach (array_keys($plan->places) as $place) {
            array_push($others, ...self::at($plan, (string) $place));
        }

        return $others;
    }

    /** @return list<array{string, Battery}> */
    private static function at(Plan $plan, string $place): array
    {
        return array_map(
            static fn(Battery $b): array => [$place, $b],
            WallNotes::read($plan->places[$place]->notes ?? '')->site->batteries,
        );
    }
}
