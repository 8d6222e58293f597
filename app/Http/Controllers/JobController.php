<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ImportRequest;
use App\Http\Requests\NewJobRequest;
use App\Models\Job;
use App\Models\User;
use App\Plans\Revisions;
use App\Plans\Workshop;
use EmberDusk\Advice\Slate;
use EmberDusk\Advice\Stages;
use EmberDusk\Advice\Works\Waiting;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Netlist;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Inertia\Inertia;
use Inertia\Response as Page;

final class JobController
{
    public function index(#[CurrentUser] User $user, Workshop $workshop): Page
    {
        return Inertia::render('Home', [
            'jobs' => $user->crew->jobs()->with('crew')->orderByDesc('updated_at')->get()->map(static function (Job $job) use ($workshop): array {
                $revision = Revisions::newest($job);
                $work = $workshop->work($job, $revision->plan());
                $findings = Slate::of($work);
                $next = $findings[0] ?? null;

                return ['id' => $job->id, 'name' => $job->name, 'client' => $job->client, 'revision' => $revision->number,
                    'changed' => $revision->created_at->toIso8601String(), 'stages' => Stages::of($work, $findings),
                    'waits' => Waiting::of($work),
                    'next' => $next === null ? null : ['title' => $next->title, 'stage' => $next->place->stage]];
            })->all(),
        ]);
    }

    public function store(NewJobRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        $plan = new Plan(trim($request->string('name')->toString()), trim($request->string('client')->toString()),
            places: ['place1' => new Place('place1', trim($request->string('place')->toString()), '')]);

        return redirect()->route('jobs.stage', [Revisions::begin($user->crew, $user, $plan, 'Job begun'), 'survey']);
    }

    public function import(ImportRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $job = Revisions::begin($user->crew, $user, JobFile::read($request->text()), 'Imported from a job file');

        return new JsonResponse(['url' => route('jobs.stage', [$job, 'survey'])], 201);
    }

    public function stage(Job $job, string $stage, #[CurrentUser] User $user, Workshop $workshop): Page
    {
        return Inertia::render(Str::studly($stage), ['answer' => $workshop->answer($job, $user, Revisions::newest($job), $stage)]);
    }

    public function export(Job $job): Response
    {
        return self::download(JobFile::write(Revisions::newest($job)->plan()), $job, 'emberdusk.json', 'application/json');
    }

    public function netlist(Job $job): Response
    {
        $plan = Revisions::newest($job)->plan();

        return self::download(Netlist::write($plan->name, Engine::networks($plan)), $job, 'cir', 'text/plain; charset=utf-8');
    }

    private static function download(string $text, Job $job, string $ending, string $type): Response
    {
        return new Response($text, 200, ['Content-Type' => $type, 'Content-Disposition' => 'attachment; filename="'.Str::slug($job->name).'.'.$ending.'"']);
    }
}
