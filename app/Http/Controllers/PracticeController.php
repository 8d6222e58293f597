<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\JoinActRequest;
use App\Http\Requests\JoinSpeedRequest;
use App\Http\Requests\ReplayRequest;
use App\Joining\Practices;
use App\Models\PracticeRun;
use App\Models\User;
use App\Screens\Practice\PracticeHome;
use EmberDusk\Joining\Practice\Lessons;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response as Page;

/** Practice: lessons on the simulated devices that ship with the tool. */
final readonly class PracticeController
{
    public function __construct(private Practices $practices) {}

    public function index(#[CurrentUser] User $user): Page
    {
        return Inertia::render('Practice', ['home' => PracticeHome::for($this->practices->done($user))]);
    }

    public function begin(string $lesson, #[CurrentUser] User $user): RedirectResponse
    {
        $run = $this->practices->begin($user, Lessons::get($lesson));

        return redirect()->route('practice.show', $run);
    }

    public function show(PracticeRun $practiceRun): Page
    {
        return Inertia::render('Lesson', ['first' => $this->practices->look($practiceRun)]);
    }

    public function look(ReplayRequest $request, PracticeRun $practiceRun): JsonResponse
    {
        return new JsonResponse($this->practices->look($practiceRun, $request->at()));
    }

    public function act(JoinActRequest $request, PracticeRun $practiceRun): JsonResponse
    {
        return new JsonResponse($this->practices->act($practiceRun, $request->acts()));
    }

    public function skip(PracticeRun $practiceRun): JsonResponse
    {
        return new JsonResponse($this->practices->skip($practiceRun));
    }

    public function speed(JoinSpeedRequest $request, PracticeRun $practiceRun): JsonResponse
    {
        return new JsonResponse($this->practices->speed($practiceRun, $request->integer('speed')));
    }

    public function end(PracticeRun $practiceRun): JsonResponse
    {
        return new JsonResponse($this->practices->end($practiceRun));
    }
}
