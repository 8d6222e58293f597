<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\JoinActRequest;
use App\Http\Requests\JoinBeginRequest;
use App\Http\Requests\JoinLookRequest;
use App\Http\Requests\JoinNeedRequest;
use App\Http\Requests\JoinSpeedRequest;
use App\Joining\NewRun;
use App\Joining\Runs;
use App\Models\Job;
use App\Models\JoinNeed;
use App\Models\JoinRun;
use App\Models\User;
use App\Results\JobLoader;
use App\Screens\Join\JoinStart;
use App\Time\Clock;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Values\JobStage;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Inertia\Inertia;
use Inertia\Response as Page;

/** The Join stage: live runs on site, and rehearsals against the simulated devices that ship with the tool. */
final readonly class JoinController
{
    public function __construct(private Runs $runs, private NewRun $fresh, private JobLoader $loader) {}

    public function show(Job $job, #[CurrentUser] User $user): Page
    {
        $run = $job->joinRuns()->latest('id')->first();

        $live = $run !== null ? $this->runs->look($job, $run) : null;

        return Inertia::render('Join', [
            'answer' => $this->loader->answer($job, $user, $job->newest(), JobStage::Join),
            'start' => $this->start($job),
            'live' => $live,
        ]);
    }

    private function start(Job $job): JoinStart
    {
        return JoinStart::for(
            $this->loader->load($job, $job->newest()->plan()),
            array_values(array_map(static fn(JoinNeed $n): string => $n->key, $job->joinNeeds()->get()->all())),
        );
    }

    /** Ticks a preparation, for all people on the job. */
    public function need(JoinNeedRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        $key = $request->string('key')->toString();
        DB::transaction(
            static fn() => $request->boolean('there')
                ? $job
                    ->joinNeeds()
                    ->firstOrCreate(['key' => $key], ['user_id' => $user->id, 'created_at' => Clock::now()])
                : $job->joinNeeds()->where('key', $key)->delete(),
        );

        return new JsonResponse($this->start($job));
    }

    public function begin(JoinBeginRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        $timing = $request->filled('timing') ? $request->string('timing')->toString() : TimingMethod::SEARCH_FIRST;

        return new JsonResponse(
            $this->runs->look(
                $job,
                $this->fresh->begin(
                    job: $job,
                    user: $user,
                    speed: $request->integer('speed'),
                    site: $request->boolean('site'),
                    hand: trim($request->string('hand')->toString()),
                    timing: $timing,
                    trustsNew: $request->boolean('trustsNew'),
                    hidden: $request->integer('hidden'),
                    fixed: $request->fixed(),
                    recovery: $request->string('recovery')->toString(),
                ),
            ),
            201,
        );
    }

    public function look(JoinLookRequest $request, Job $job, JoinRun $joinRun): JsonResponse
    {
        return new JsonResponse($this->runs->look($job, $joinRun, $request->integer('lines')));
    }

    public function act(JoinActRequest $request, Job $job, JoinRun $joinRun, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->runs->act($job, $joinRun, $user, $request->acts()));
    }

    public function ahead(Job $job, JoinRun $joinRun): JsonResponse
    {
        return new JsonResponse($this->runs->ahead($job, $joinRun));
    }

    public function skip(Job $job, JoinRun $joinRun): JsonResponse
    {
        return new JsonResponse($this->runs->skip($job, $joinRun));
    }

    public function speed(JoinSpeedRequest $request, Job $job, JoinRun $joinRun): JsonResponse
    {
        return new JsonResponse($this->runs->speed($job, $joinRun, $request->integer('speed')));
    }
}
