<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Crew;
use App\Models\KitNote;
use App\Models\User;
use App\Time\Clock;
use EmberDusk\Kit\CrewNote;
use EmberDusk\Plan\Plan;
use Illuminate\Support\Facades\DB;

/** A crew's own notes per piece of kit: written once, shown at every job that uses it. */
final readonly class KitNotes
{
    public function note(Crew $crew, User $user, string $entry, string $says): void
    {
        DB::transaction(
            static fn(): KitNote => $crew->kitNotes()->create([
                'user_id' => $user->id,
                'entry' => $entry,
                'says' => $says,
                'day' => Clock::day(),
                'created_at' => Clock::now(),
            ]),
        );
    }

    public function forget(KitNote $note): void
    {
        DB::transaction(static fn(): ?bool => $note->delete());
    }

    /** @return list<CrewNote> of the kit that a job uses */
    public function for(Crew $crew, Plan $plan): array
    {
        return array_values(
            $crew
                ->kitNotes()
                ->with('user')
                ->whereIn('entry', array_keys($plan->kit))
                ->orderBy('entry')
                ->orderBy('id')
                ->get()
                ->map(
                    static fn(KitNote $n): CrewNote => new CrewNote(
                        id: $n->id,
                        entry: $n->entry,
                        kit: $plan->kit[$n->entry]->entry->name(),
                        says: $n->says,
                        day: $n->day,
                        by: (string) $n->user?->name,
                    ),
                )
                ->all(),
        );
    }
}
