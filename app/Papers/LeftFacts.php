<?php

declare(strict_types=1);

namespace App\Papers;

use App\Models\Job;
use App\Models\LeftFact;
use App\Models\User;
use App\Screens\Handover\LeftFactView;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;

/** Facts recorded at hand-over, besides the plan. */
final readonly class LeftFacts
{
    public function note(Job $job, User $user, string $kind, string $about, string $says): void
    {
        DB::transaction(static function () use ($job, $user, $kind, $about, $says): void {
            // A lesson is given once; an app has one version, settings one backup that counts: the last that was written down.
            $job->leftFacts()->where('kind', $kind)->where('about', $about)->delete();
            $job->leftFacts()->create([
                'user_id' => $user->id,
                'kind' => $kind,
                'about' => $about,
                'says' => $says,
                'day' => Clock::day(),
                'created_at' => Clock::now(),
            ]);
        });
    }

    public function forget(LeftFact $fact): void
    {
        DB::transaction(static fn(): ?bool => $fact->delete());
    }

    /** @return list<LeftFactView> */
    public function for(Job $job): array
    {
        return array_values(
            $job
                ->leftFacts()
                ->with('user')
                ->orderBy('id')
                ->get()
                ->map(
                    static fn(LeftFact $f): LeftFactView => new LeftFactView(
                        id: $f->id,
                        kind: $f->kind,
                        about: $f->about,
                        says: $f->says,
                        day: $f->day,
                        by: (string) $f->user?->name,
                    ),
                )
                ->all(),
        );
    }
}
