<?php

declare(strict_types=1);

namespace App\Screens\Home;

use App\Screens\Build\BuildScreen;
use EmberDusk\Job\JobState;
use EmberDusk\Schedule\Day;
use EmberDusk\Schedule\Visit;

/** Waits of a job for the list of jobs: parts on the way, the next visit. Needs no calculation. */
final readonly class Waiting
{
    /** @return list<string> */
    public static function for(JobState $state): array
    {
        $waits = [];
        foreach ($state->marks as $part => $mark) {
            if ($mark->state === 'ordered') {
                $waits[$mark->arrives ?? ''][] =
                    BuildScreen::kit($state, $part) .
                    match (true) {
                        $mark->arrives === null => ' is ordered',
                        $mark->late($state->today) => ' is overdue since ' . Day::words($mark->arrives),
                        default => ' comes ' . Day::words($mark->arrives),
                    };
            }
        }
        ksort($waits);
        $visits = array_values(
            array_filter($state->arrangement->visits, static fn(Visit $v): bool => $v->from >= $state->today),
        );
        if ($visits === []) {
            $next = [];
        } else {
            $next = ['next visit ' . Day::words($visits[0]->from) . ($visits[0]->people > 1 ? ', two people' : '')];
        }

        return [...array_merge([], ...array_values($waits)), ...$next];
    }
}
