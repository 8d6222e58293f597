<?php

declare(strict_types=1);

namespace App\History;

use App\Kit\Shelves;
use App\Models\Crew;
use App\Models\Job;
use App\Models\Revision;
use App\Models\User;
use App\Time\Clock;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Difference;
use EmberDusk\Plan\Invariants;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\OutOfTurn;
use EmberDusk\Values\Refusal;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** The history of a job's plan: every accepted change is a revision; undo and redo are revisions too. */
final readonly class Revisions
{
    /** A new job with its first plan. */
    public function begin(Crew $crew, ?User $user, Plan $plan, string $words): Job
    {
        return DB::transaction(function () use ($crew, $user, $plan, $words): Job {
            $job = $crew->jobs()->create(['name' => $plan->name, 'client' => $plan->client]);
            $this->write(
                job: $job,
                user: $user,
                parent: null,
                plan: $plan,
                kind: 'first',
                words: $words,
                touched: (new Difference(new Plan('', ''), $plan))->between(),
            );

            return $job;
        });
    }

    /**
     * Applies a change that was made on a revision to the newest plan.
     *
     * @param  array<array-key, mixed>  $payload
     *
     * @throws Refusal when the change does not fit
     * @throws Conflict when the same items were changed since its base
     */
    public function change(Job $job, User $user, int $base, array $payload): Revision
    {
        $change = Catalogue::read($payload, Shelves::ofCrew($job->crew));

        return DB::transaction(function () use ($job, $user, $base, $payload, $change): Revision {
            $newest = $job->newest();
            $before = $newest->plan();
            if ($base !== $newest->number) {
                $this->refuseWhenStale($job, $base, $newest, $change);
            }
            $after = $this->applied($change, $before);
            $touched = (new Difference($before, $after))->between();
            if ($touched === []) {
                return $newest;
            }

            return $this->write(
                job: $job,
                user: $user,
                parent: $newest,
                plan: $after,
                kind: 'change',
                words: $change->words($before),
                touched: $touched,
                payload: $payload,
            );
        });
    }

    /** The newest plan with a change applied. */
    public function preview(Job $job, Shelves $shelf, Plan $plan, mixed $payload): Plan
    {
        return $this->applied(Catalogue::read((array) $payload, $shelf), $plan);
    }

    /**
     * Takes back, or does again, one's own last change.
     *
     * @param  'undo'|'redo'  $kind
     *
     * @throws Refusal when there is nothing to take back
     * @throws Conflict when another person has touched the same since
     */
    public function restore(Job $job, User $user, string $kind): Revision
    {
        return DB::transaction(function () use ($job, $user, $kind): Revision {
            $number =
                OwnChanges::for($job, $user)->top($kind) ??
                throw new OutOfTurn($kind === 'undo' ? 'You have no change left to undo.' : 'No change to redo.');
            $change = $this->numbered($job, $number);
            $newest = $job->newest();
            $later = $this->standing($job, $number)->first(
                static fn(Revision $r): bool => $r->user_id !== $user->id &&
                    array_intersect($r->touched, $change->touched) !== [],
            );
            if ($later !== null) {
                throw Conflict::ofUndo(
                    kind: $kind,
                    number: $number,
                    words: $change->words,
                    theirs: $this->told($later),
                    newest: $newest->number,
                );
            }
            $source = $kind === 'undo' ? $this->numbered($job, (int) $change->parent) : $change;
            $before = $newest->plan();
            $after = Difference::restore($before, $source->plan(), $change->touched);

            return $this->write(
                job: $job,
                user: $user,
                parent: $newest,
                plan: $after,
                kind: $kind,
                words: ($kind === 'undo' ? 'Undone: ' : 'Redone: ') . $change->words,
                touched: (new Difference($before, $after))->between(),
                restores: $number,
            );
        });
    }

    /**
     * Skips one's own last change (or the last undone one) for undo (or redo); it stays as it is. For a change blocked by another person's later
     * change.
     *
     * @param  'undo'|'redo'  $kind
     * @param  int  $number  of the change that is stepped over
     *
     * @throws Refusal when that is not the next one
     */
    public function stepOver(Job $job, User $user, string $kind, int $number): Revision
    {
        return DB::transaction(function () use ($job, $user, $kind, $number): Revision {
            if (OwnChanges::for($job, $user)->top($kind) !== $number) {
                throw new InvalidInput(
                    'That change is no longer the next one. Check what Undo and Redo show now.',
                    '/over',
                );
            }
            $newest = $job->newest();

            return $this->write(
                job: $job,
                user: $user,
                parent: $newest,
                plan: $newest->plan(),
                kind: OwnChanges::OVER,
                words: 'Stepped over: ' . $this->numbered($job, $number)->words,
                touched: [],
                restores: $number,
            );
        });
    }

    /**
     * Changes after one that are in force: not taken back.
     *
     * @return Collection<int, Revision> without their documents
     */
    private function standing(Job $job, int $after): Collection
    {
        $later = $job
            ->revisions()
            ->where('number', '>', $after)
            ->orderBy('number')
            ->with('user')
            ->get(['id', 'job_id', 'user_id', 'number', 'kind', 'restores', 'words', 'touched', 'created_at']);
        $back = [];
        foreach ($later as $r) {
            if ($r->restores !== null) {
                $back[$r->restores] =
                    $r->kind === 'undo' || ($r->kind === OwnChanges::OVER && ($back[$r->restores] ?? false));
            }
        }

        return $later->filter(static fn(Revision $r): bool => $r->kind === 'change' && !($back[$r->number] ?? false));
    }

    private function applied(Change $change, Plan $plan): Plan
    {
        $after = $change->apply($plan);
        Invariants::check($after);

        return $after;
    }

    /** @throws Conflict when a later revision touched the same ids */
    private function refuseWhenStale(Job $job, int $base, Revision $newest, Change $change): void
    {
        $from =
            $job->revisions()->where('number', $base)->first() ??
            throw new InvalidInput("The job has no revision {$base}.", '/base');
        $plan = $from->plan();
        $touches = (new Difference($plan, $this->applied($change, $plan)))->between();
        // A value changed and restored does not count.
        $both = array_intersect($touches, (new Difference($plan, $newest->plan()))->between());
        if ($both === []) {
            $since = [];
        } else {
            $since = $job
                ->revisions()
                ->where('number', '>', $base)
                ->orderBy('number')
                ->with('user')
                ->get(['id', 'job_id', 'user_id', 'number', 'words', 'touched', 'created_at'])
                ->filter(static fn(Revision $r): bool => array_intersect($r->touched, $both) !== [])
                ->map($this->told(...))
                ->all();
        }
        if ($since !== []) {
            throw Conflict::ofChange($change->words($plan), implode('; ', $since), $newest->number);
        }
    }

    private function told(Revision $r): string
    {
        return $r->words .
            ' (' .
            ($r->user->name ?? 'somebody') .
            ', ' .
            Clock::local($r->created_at)->format('H:i') .
            ')';
    }

    private function numbered(Job $job, int $number): Revision
    {
        return $job->revisions()->where('number', $number)->firstOrFail();
    }

    /**
     * @param  list<string>  $touched
     * @param  array<array-key, mixed>|null  $payload
     */
    private function write(
        Job $job,
        ?User $user,
        ?Revision $parent,
        Plan $plan,
        string $kind,
        string $words,
        array $touched,
        ?array $payload = null,
        ?int $restores = null,
    ): Revision {
        $document = Revision::deflate($plan);
        $revision = $job->revisions()->create([
            'user_id' => $user?->id,
            'number' => ($parent->number ?? 0) + 1,
            'parent' => $parent?->number,
            'change' => $payload,
            'kind' => $kind,
            'restores' => $restores,
            'words' => mb_substr($words, 0, 250),
            'touched' => $touched,
            'document' => $document,
            'created_at' => Clock::now(),
        ]);
        $job->fill([
            'name' => $plan->name,
            'client' => $plan->client,
            'kit' => array_map(static fn(KitSnapshot $f): string => $f->hash, $plan->kit),
        ])->touch();

        return $revision->holding($plan);
    }
}
