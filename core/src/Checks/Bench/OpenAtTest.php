<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Bench;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Circuit\Island;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\Run;

/** Open findings that contradict a pass of a run's bench tests: each concerns the tests of one way of asking. */
final readonly class OpenAtTest
{
    /** Way of asking of a {@see \EmberDusk\Bench\Tests\BenchTest}, by finding code. */
    private const ASKS = [
        'colours' => 'colours',
        'pixel-count' => 'count',
        'reading' => 'read',
        'reading-asked' => 'read',
        'reading-against' => 'read',
    ];

    /** @return array<string, list<string>> titles of findings, by way of asking */
    public static function for(JobState $state, Run $run): array
    {
        if ($state->bench->entries === []) {
            return [];
        }
        $job = JudgedJob::for($state);
        $together = Island::for($state->plan, $run)->parts ?? [];
        $open = [];
        foreach ([...(new SeenFindings())->check($job), ...(new ReadingFindings())->check($job)] as $finding) {
            $asks = self::ASKS[$finding->code] ?? null;
            // A reading at shared wiring is placed at one run of its island.
            $here = $finding->place->id === $run->id || ($asks === 'read' && isset($together[$finding->place->id]));
            if ($asks !== null && $here) {
                $open[$asks][] = $finding->title;
            }
        }

        return $open;
    }
}
