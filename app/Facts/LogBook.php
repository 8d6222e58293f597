<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\Job;
use App\Models\LogEntry;
use EmberDusk\Bench\Log\LogEntry as Fact;

/** A job's log as the bench asks for it. What was done in a practice is apart, always. */
final readonly class LogBook
{
    /** @return list<Fact> in the order of time */
    public static function entries(Job $job, ?int $practice = null): array
    {
        return array_values(
            $job
                ->logEntries()
                ->where('practice_id', $practice)
                ->where('kind', '!=', 'remark')
                ->orderBy('at')
                ->orderBy('id')
                ->get()
                ->map(static fn(LogEntry $e): Fact => $e->fact())
                ->all(),
        );
    }
}
