<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\JoinRequest;
use App\Joining\Runs;
use App\Models\Job;
use App\Models\JoinRun;
use App\Models\User;
use App\Plans\Revisions;
use App\Plans\Workshop;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Inertia\Inertia;
use Inertia\Response as Page;

/** The Join stage: live runs against the stand-ins that ship with the tool. */
final class JoinController
{
    public function show(Job $job, #[CurrentUser] User $user, Workshop $workshop): Page
    {
        $run = $job->joinRuns()->latest('id')->first();

        return Inertia::render('Join', [
            'answer' => $workshop->answer($job, $user, Revisions::newest($job), 'join'),
            'live' => $run === null ? null : Runs::look($job, $run),
        ]);
    }

    public function begin(JoinRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(Runs::look($job, Runs::begin($job, $user, $request->integer('speed'))), 201);
    }

    public function look(Job $job, JoinRun $joinRun): JsonResponse
    {
        return new JsonResponse(Runs::look($job, $joinRun));
    }

    public function act(JoinRequest $request, Job $job, JoinRun $joinRun, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(
            Runs::act(
                $job,
                $joinRun,
                $user,
                $request->string('kind')->toString(),
                $request->string('device')->toString(),
                $request->integer('presses', 1),
                $request->string('name')->toString(),
                $request->string('room')->toString(),
            ),
        );
    }

    public function speed(JoinRequest $request, Job $job, JoinRun $joinRun): JsonResponse
    {
        return new JsonResponse(Runs::speed($job, $joinRun, $request->integer('speed')));
    }
}
