<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Facts\LogBook;
use App\Http\Requests\BenchRequest;
use App\Http\Requests\LogRequest;
use App\Http\Requests\PracticeRequest;
use App\Http\Requests\SimulatedReadingRequest;
use App\Models\BenchPractice;
use App\Models\Job;
use App\Models\User;
use App\Results\BenchCache;
use App\Results\JobLoader;
use App\Screens\Bench\BenchAnswer;
use App\Screens\Bench\BenchPracticeView;
use App\Screens\Bench\BenchScreen;
use App\Time\Clock;
use EmberDusk\Bench\Log\BenchFacts;
use EmberDusk\Bench\Log\LogEntry;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Practice\Practice;
use EmberDusk\Circuit\Island;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\JobStage;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Inertia\Inertia;
use Inertia\Response as Page;

/** The Bench stage: tests, observations and readings, and practice with hidden faults. */
final readonly class BenchController
{
    public function __construct(private JobLoader $loader, private BenchCache $solver) {}

    public function show(BenchRequest $request, Job $job, #[CurrentUser] User $user): Page
    {
        return Inertia::render('Bench', [
            'answer' => $this->loader->answer($job, $user, $job->newest(), JobStage::Bench),
            'looked' => $this->picture($job, $request->string('run')->toString(), $this->practice($job, $request)),
        ]);
    }

    public function look(BenchRequest $request, Job $job): JsonResponse
    {
        return new JsonResponse(
            $this->picture($job, $request->string('run')->toString(), $this->practice($job, $request)),
        );
    }

    /** Saves readings, observations, fixes and remarks; duplicates count once. */
    public function log(LogRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        // The page still shows its former user; another person has signed in since.
        abort_if(
            $request->filled('byUser') && $request->integer('byUser') !== $user->id,
            403,
            'Another person has signed in on this device. It is sent when its author signs in again.',
        );
        $practice = $this->practice($job, $request);
        $entry = $request->entry($user, Clock::now()->format('Y-m-d\TH:i:s.v\Z'));
        if ($entry->kind === LogEntry::STRIKE && !LogBook::has($job, $entry->command, $practice?->id)) {
            throw new InvalidInput('The entry to strike out is not in this log. Reload the page.', '/command');
        }
        $plan = $job->newest()->plan();
        DB::transaction(static fn(): bool => LogBook::keep($job, $plan, $entry, $user->id, $practice?->id));

        return new JsonResponse($this->loader->answer($job, $user, $job->newest(), JobStage::Bench));
    }

    public function practise(PracticeRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        $faults = $request->faults();
        if ($faults === []) {
            $faults = Practice::drawn($job->newest()->plan(), $request->integer('seed'));
        }
        $practice = DB::transaction(
            static fn(): BenchPractice => $job->benchPractices()->create([
                'user_id' => $user->id,
                'seed' => $request->integer('seed'),
                'faults' => $faults,
                'created_at' => Clock::now(),
            ]),
        );

        return new JsonResponse($this->picture($job, '', $practice), 201);
    }

    /** Lamps or meter of a practice. */
    public function ask(SimulatedReadingRequest $request, Job $job, BenchPractice $benchPractice): JsonResponse
    {
        $plan = $job->newest()->plan();
        $run = $plan->run($request->string('run')->toString());
        $simulation = $this->simulation($job, $benchPractice);
        $shows = match ($request->string('ask')->toString()) {
            'colour' => $simulation->colour($run->id, $request->integer('number')),
            'count' => $simulation->count($run->id, $request->integer('number')),
            default => $simulation->read(
                Island::for($plan, $run) ?? throw InvalidInput::at('/run', "{$run->name()} is not wired yet."),
                $request->string('spot')->toString(),
                MeterCommand::read($request->string('command')->toString()),
            ),
        };

        return new JsonResponse(['shows' => $shows]);
    }

    private function picture(Job $job, string $run, ?BenchPractice $practice): BenchAnswer
    {
        $state = $this->loader->load($job, $job->newest()->plan());
        $facts = $practice === null ? $state->bench : $this->facts($job, $practice);

        return new BenchAnswer(
            bench: BenchScreen::for($state, $facts, $run),
            practice: $practice === null
                ? null
                : new BenchPracticeView(id: $practice->id, whole: $this->simulation($job, $practice)->whole()),
        );
    }

    private function practice(Job $job, BenchRequest|LogRequest $request): ?BenchPractice
    {
        if ($request->filled('practice')) {
            return $job->benchPractices()->findOrFail($request->integer('practice'));
        }

        return null;
    }

    private function facts(Job $job, BenchPractice $practice): BenchFacts
    {
        return new BenchFacts(LogBook::entries($job, $practice->id));
    }

    private function simulation(Job $job, BenchPractice $practice): Practice
    {
        return Practice::for(
            plan: $job->newest()->plan(),
            facts: $this->facts($job, $practice),
            solver: $this->solver,
            faults: $practice->faults,
            seed: $practice->seed,
        );
    }
}
