<?php

declare(strict_types=1);

namespace EmberDusk\Advice\Works;

use EmberDusk\Advice\Work;
use EmberDusk\Schedule\Day;
use EmberDusk\Schedule\Visit;

/** What a job waits for, in words for the list of jobs: parts on the way, the next visit. Nothing is reckoned for it. */
final readonly class Waiting
{
    /** @return list<string> */
    public static function of(Work $work): array
    {
        $waits = [];
        foreach ($work->marks as $part => $mark) {
            if ($mark->state === 'ordered') {
                $waits[$mark->arrives ?? ''][] =
                    BuildDesk::kit($work, $part) .
                    match (true) {
                        $mark->arrives === null => ' is ordered',
                        $mark->late($work->today) => ' should be here since ' . Day::words($mark->arrives),
                        default => ' comes ' . Day::words($mark->arrives),
                    };
            }
        }
        ksort($waits);
        $visits = array_values(
            array_filter($work->arrangement->visits, static fn(Visit $v): bool => $v->from >= $work->today),
        );
        $next =
            $visits === []
                ? []
                : ['next visit ' . Day::words($visits[0]->from) . ($visits[0]->people > 1 ? ', two people' : '')];

        return [...array_merge([], ...array_values($waits)), ...$next];
    }
}
