<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\EditRequest;
use App\Models\Job;
use App\Models\Revision;
use App\Models\User;
use App\Plans\Revisions;
use App\Plans\Shelves;
use App\Plans\Workshop;
use App\Screens\Screen;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

/** Edits are JSON: a change, undo and redo answer with the new state of the open stage; a preview writes nothing. */
final readonly class EditController
{
    public function __construct(private Workshop $workshop) {}

    public function show(EditRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($job, $user, Revisions::newest($job), $request);
    }

    public function change(EditRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer(
            $job,
            $user,
            Revisions::change($job, $user, $request->integer('base'), $request->change()),
            $request,
        );
    }

    public function preview(EditRequest $request, Job $job): JsonResponse
    {
        $shelf = Shelves::ofCrew($job->crew);
        $plan = Revisions::preview($job, $shelf, Revisions::newest($job)->plan(), $request->change());

        return new JsonResponse([
            'desk' => Screen::of(
                $request->stage(),
                $this->workshop->work($job, $plan, $shelf, $request->scene(), $request->open()),
            ),
        ]);
    }

    /** An earlier state of the job, to be held beside the newest. */
    public function beside(EditRequest $request, Job $job, int $number): JsonResponse
    {
        $revision = $job->revisions()->where('number', $number)->firstOrFail();

        return new JsonResponse([
            'words' => $revision->words,
            'desk' => Screen::of(
                $request->stage(),
                $this->workshop->work($job, $revision->plan(), null, $request->scene(), $request->open()),
            ),
        ]);
    }

    public function undo(EditRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        return $this->restored('undo', $request, $job, $user);
    }

    public function redo(EditRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        return $this->restored('redo', $request, $job, $user);
    }

    public function history(Job $job): JsonResponse
    {
        return new JsonResponse([
            'history' => $job
                ->revisions()
                ->with('user')
                ->orderByDesc('number')
                ->limit(500)
                ->get()
                ->map(
                    static fn(Revision $r): array => [
                        'number' => $r->number,
                        'words' => $r->words,
                        'who' => $r->user?->name,
                        'at' => $r->created_at->toIso8601String(),
                    ],
                )
                ->all(),
        ]);
    }

    /** @param  'undo'|'redo'  $kind */
    private function restored(string $kind, EditRequest $request, Job $job, User $user): JsonResponse
    {
        return $this->answer(
            $job,
            $user,
            $request->filled('over')
                ? Revisions::stepOver($job, $user, $kind, $request->integer('over'))
                : Revisions::restore($job, $user, $kind),
            $request,
        );
    }

    private function answer(Job $job, User $user, Revision $revision, EditRequest $request): JsonResponse
    {
        return new JsonResponse(
            $this->workshop->answer($job, $user, $revision, $request->stage(), $request->scene(), $request->open()),
        );
    }
}
