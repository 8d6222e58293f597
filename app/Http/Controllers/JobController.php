<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\History\DeletedJobs;
use App\History\Revisions;
use App\Http\Requests\DeleteJobRequest;
use App\Http\Requests\ImportRequest;
use App\Http\Requests\JobListRequest;
use App\Http\Requests\NewJobRequest;
use App\Http\Requests\StageRequest;
use App\Models\Job;
use App\Models\User;
use App\Papers\Download;
use App\Results\JobList;
use App\Results\JobLoader;
use App\Results\Summaries;
use App\Screens\Stages;
use App\Time\Clock;
use Carbon\CarbonImmutable;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Netlist;
use EmberDusk\Plan\Changes\Places\ReviseNotes;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\OutOfTurn;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response as Page;

final readonly class JobController
{
    public function __construct(private Revisions $revisions, private JobLoader $loader) {}

    public function index(JobListRequest $request, #[CurrentUser] User $user, JobList $list): Page
    {
        return Inertia::render(
            'Home',
            $list
                ->page($user, $request->words(), $request->boolean('archived'), max(1, $request->integer('page', 1)))
                ->write(),
        );
    }

    /** For a job whose summary the list did not have at hand. */
    public function summary(Job $job, Summaries $summaries): JsonResponse
    {
        return new JsonResponse($summaries->for($job)->write());
    }

    public function archive(Job $job): JsonResponse
    {
        return self::shelve($job, Clock::now());
    }

    public function back(Job $job): JsonResponse
    {
        return self::shelve($job, null);
    }

    /** Deletes a job; archived jobs only, confirmed by name. For 30 days it can be brought back. */
    public function destroy(DeleteJobRequest $request, Job $job): JsonResponse
    {
        if ($job->archived_at === null) {
            throw new OutOfTurn('Archive the job first. Nothing was deleted.');
        }
        DeletedJobs::delete($job);

        return new JsonResponse(['gone' => $job->id]);
    }

    /** Brings a deleted job back. */
    public function bringBack(Job $job): JsonResponse
    {
        DeletedJobs::bringBack($job);

        return new JsonResponse(['job' => $job->id]);
    }

    private static function shelve(Job $job, ?CarbonImmutable $at): JsonResponse
    {
        // Its place in the list stays: nothing of it was changed.
        DB::transaction(
            static fn() => $job
                ->newQuery()
                ->toBase()
                ->where('id', $job->id)
                ->update(['archived_at' => $at]),
        );

        return new JsonResponse(['job' => $job->id, 'archived' => $at !== null]);
    }

    public function store(NewJobRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        $plan = new Plan(
            trim($request->string('name')->toString()),
            trim($request->string('client')->toString()),
            places: [
                'place1' => new Place('place1', trim($request->string('place')->toString()) ?: 'First place', ''),
            ],
        );
        try {
            $notes = $request->notes();
        } catch (InvalidInput $t) {
            throw ValidationException::withMessages([ltrim($t->pointer, '/') => $t->getMessage()]);
        }
        // Stated lengths are enough to choose kit; the walls can be measured later.
        if ($notes !== '') {
            $plan = ReviseNotes::for('place1', $notes)->apply($plan);
        }

        return redirect()->route('jobs.stage', [
            $this->revisions->begin($user->crew, $user, $plan, 'Job created'),
            $notes === '' ? JobStage::Survey : JobStage::Kit,
        ]);
    }

    public function import(ImportRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $job = $this->revisions->begin($user->crew, $user, JobFile::read($request->text()), 'Imported from a job file');

        return new JsonResponse(['url' => route('jobs.stage', [$job, JobStage::Survey])], 201);
    }

    public function stage(StageRequest $request, Job $job, JobStage $stage, #[CurrentUser] User $user): Page
    {
        return Inertia::render((string) Stages::get($stage)->page(), [
            'answer' => $this->loader->answer(
                job: $job,
                user: $user,
                revision: $job->newest(),
                stage: $stage,
                open: $request->open(),
            ),
        ]);
    }

    public function export(Job $job): Response
    {
        return Download::with(
            JobFile::write($job->newest()->plan()),
            Str::slug($job->name) . '.emberdusk.json',
            Download::JSON,
        );
    }

    public function netlist(Job $job): Response
    {
        $plan = $job->newest()->plan();

        return Download::with(
            Netlist::write($plan->name, (new Engine($plan))->networks()),
            Str::slug($job->name) . '.cir',
            'text/plain; charset=utf-8',
        );
    }
}
