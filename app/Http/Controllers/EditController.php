<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\History\Revisions;
use App\Http\Requests\ChangeRequest;
use App\Http\Requests\HistoryRequest;
use App\Http\Requests\PreviewRequest;
use App\Http\Requests\RestoreRequest;
use App\Http\Requests\ScreenRequest;
use App\Kit\Shelves;
use App\Models\Job;
use App\Models\Revision;
use App\Models\User;
use App\Results\JobLoader;
use App\Results\SolvedFixes;
use App\Screens\Desk\Beside;
use App\Screens\Desk\History;
use App\Screens\Desk\HistoryLine;
use App\Screens\Desk\Preview;
use App\Screens\Desk\SolvedFixesView;
use App\Screens\Screen;
use EmberDusk\Values\JobStage;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

/** Edits are JSON: a change, undo and redo answer with the new state of the open stage; a preview writes nothing. */
final readonly class EditController
{
    /** Revisions of a page of the history. */
    private const PAGE = 100;

    public function __construct(private JobLoader $loader, private Revisions $revisions) {}

    public function show(ScreenRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($job, $user, $job->newest(), $request);
    }

    public function change(ChangeRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer(
            $job,
            $user,
            $this->revisions->change($job, $user, $request->integer('base'), $request->change()),
            $request,
        );
    }

    public function preview(PreviewRequest $request, Job $job): JsonResponse
    {
        $shelf = Shelves::ofCrew($job->crew);
        $plan = $this->revisions->preview($job, $shelf, $job->newest()->plan(), $request->change());
        $state = $this->loader->load(
            job: $job,
            plan: $plan,
            shelf: $shelf,
            scene: $request->scene(),
            open: $request->open(),
            everyScene: $request->stage() === JobStage::Scenes,
        );

        return new JsonResponse(new Preview(desk: Screen::for($request->stage(), $state)->without($request->known())));
    }

    /** Fixes that have to be solved first: asked for when the picture is there. */
    public function fixes(Job $job, SolvedFixes $solved): JsonResponse
    {
        $revision = $job->newest();
        $state = $this->loader->load($job, $revision->plan());

        return new JsonResponse(new SolvedFixesView(revision: $revision->number, fixes: $solved->for($job, $state)));
    }

    /** An earlier state of the job, to be held beside the newest. */
    public function beside(ScreenRequest $request, Job $job, int $number): JsonResponse
    {
        $revision = $job->revisions()->where('number', $number)->firstOrFail();

        return new JsonResponse(
            new Beside(
                words: $revision->words,
                desk: Screen::for(
                    $request->stage(),
                    $this->loader->load(
                        job: $job,
                        plan: $revision->plan(),
                        scene: $request->scene(),
                        open: $request->open(),
                    ),
                ),
            ),
        );
    }

    public function undo(RestoreRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        return $this->restored('undo', $request, $job, $user);
    }

    public function redo(RestoreRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        return $this->restored('redo', $request, $job, $user);
    }

    /** Revisions, the newest first; the page asks for those before the last that it has. */
    public function history(HistoryRequest $request, Job $job): JsonResponse
    {
        $revisions = $job
            ->revisions()
            // Without the documents.
            ->select(['number', 'words', 'user_id', 'created_at'])
            ->with('user')
            ->where('number', '<', $request->before())
            ->orderByDesc('number')
            ->limit(self::PAGE + 1)
            ->get();

        return new JsonResponse(
            new History(
                history: array_values(
                    $revisions
                        ->take(self::PAGE)
                        ->map(
                            static fn(Revision $r): HistoryLine => new HistoryLine(
                                number: $r->number,
                                words: $r->words,
                                who: $r->user?->name,
                                at: $r->created_at->toIso8601String(),
                            ),
                        )
                        ->all(),
                ),
                earlier: $revisions->count() > self::PAGE,
            ),
        );
    }

    /** @param  'undo'|'redo'  $kind */
    private function restored(string $kind, RestoreRequest $request, Job $job, User $user): JsonResponse
    {
        return $this->answer(
            $job,
            $user,
            $request->filled('over')
                ? $this->revisions->stepOver($job, $user, $kind, $request->integer('over'))
                : $this->revisions->restore($job, $user, $kind),
            $request,
        );
    }

    /** An edit answers with the changed runs; the page keeps the others. */
    private function answer(Job $job, User $user, Revision $revision, ScreenRequest $request): JsonResponse
    {
        $answer = $this->loader->answer(
            job: $job,
            user: $user,
            revision: $revision,
            stage: $request->stage(),
            scene: $request->scene(),
            open: $request->open(),
        );

        return new JsonResponse($answer->without($request->known()));
    }
}
