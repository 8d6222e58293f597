<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\Crew;
use App\Models\Job;
use EmberDusk\Advice\Shift;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Frozen;

/** Which jobs of a crew use a shelf entry, and what would move in each if it took the entry as it stands now. */
final readonly class ShelfUses
{
    public function __construct(private Workshop $workshop)
    {
    }

    /** @return list<array<string, mixed>> as in core/schema/responses.json, $defs/use */
    public function of(Crew $crew, string $entry, ?Frozen $now): array
    {
        $shelf = Shelves::ofCrew($crew);
        $uses = [];
        foreach ($crew->jobs()->orderByDesc('updated_at')->get() as $job) {
            /** @var Job $job */
            $revision = Revisions::newest($job);
            $plan = $revision->plan();
            $frozen = $plan->kit[$entry] ?? null;
            if ($frozen === null) {
                continue;
            }
            $moved = $now !== null && $frozen->hash !== $now->hash;
            $uses[] = ['job' => $job->id, 'name' => $job->name, 'revision' => $revision->number, 'moved' => $moved,
                'shift' => $moved ? Shift::of($this->workshop->work($job, $plan, $shelf),
                    $this->workshop->work($job, Catalogue::read(['kind' => 'RefreshKit', 'kit' => $entry], $shelf)->apply($plan), $shelf)) : null];
        }

        return $uses;
    }
}
