<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\BuildRequest;
use App\Models\Job;
use App\Models\User;
use App\Plans\Revisions;
use App\Plans\Workshop;
use EmberDusk\Advice\BuildDesk;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Ticks of the steps, people and day, and the plan of work as a calendar. */
final readonly class BuildController
{
    public function __construct(private Workshop $workshop)
    {
    }

    public function tick(BuildRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        DB::transaction(static fn () => $request->boolean('done')
            ? $job->ticks()->updateOrCreate(['step' => $request->string('step')->toString()], ['minutes' => $request->integer('minutes'), 'user_id' => $user->id])
            : $job->ticks()->where('step', $request->string('step')->toString())->delete());

        return new JsonResponse($this->workshop->answer($job, $user, Revisions::newest($job), 'build'));
    }

    public function visit(BuildRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        DB::transaction(static fn () => $job->visit()->updateOrCreate([], ['people' => $request->integer('people'), 'start' => $request->string('start')->toString()]));

        return new JsonResponse($this->workshop->answer($job, $user, Revisions::newest($job), 'build'));
    }

    public function calendar(Job $job): Response
    {
        return new Response(BuildDesk::calendar($this->workshop->work($job, Revisions::newest($job)->plan()), now()->utc()->format('Ymd\\THis\\Z')), 200,
            ['Content-Type' => 'text/calendar; charset=utf-8', 'Content-Disposition' => 'attachment; filename="'.Str::slug($job->name).'.ics"']);
    }
}
