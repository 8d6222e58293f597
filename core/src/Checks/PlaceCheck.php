<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

use EmberDusk\Job\JobState;
use EmberDusk\Plan\Place;
use EmberDusk\Survey\Site\Site;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Values\Finding;

/** A check that looks at one place after the other, as far as its notes can be read. */
abstract readonly class PlaceCheck extends Check
{
    public function check(JudgedJob $job): array
    {
        $findings = [];
        foreach ($job->state->plan->places as $place) {
            $sheet = WallNotes::read($place->notes);
            if (trim($place->notes) !== '' && $sheet->slips === []) {
                array_push($findings, ...$this->place($job->state, $place, $sheet->site));
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    abstract protected function place(JobState $state, Place $place, Site $site): array;
}
