<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\FactRequest;
use App\Http\Requests\NoteRequest;
use App\Kit\KitNotes;
use App\Models\Job;
use App\Models\KitNote;
use App\Models\LeftFact;
use App\Models\User;
use App\Papers\Download;
use App\Papers\LeftFacts;
use App\Screens\Handover\LeftBehind;
use EmberDusk\Handover\WiringDiagram;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** Hand-over data of a job: recorded facts, notes for the next job, the wiring diagram. */
final readonly class LeftController
{
    public function __construct(private LeftFacts $facts, private KitNotes $notes) {}

    public function note(FactRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        $this->facts->note(
            $job,
            $user,
            $request->string('kind')->toString(),
            $request->string('about')->trim()->toString(),
            $request->string('says')->trim()->toString(),
        );

        return $this->said($job);
    }

    public function forget(Job $job, LeftFact $leftFact): JsonResponse
    {
        $this->facts->forget($leftFact);

        return $this->said($job);
    }

    public function noteKit(NoteRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        $entry = $request->string('entry')->toString();
        abort_unless(isset($job->newest()->plan()->kit[$entry]), 404);
        $this->notes->note($job->crew, $user, $entry, $request->string('says')->trim()->toString());

        return $this->said($job);
    }

    public function forgetKit(Job $job, KitNote $kitNote): JsonResponse
    {
        $this->notes->forget($kitNote);

        return $this->said($job);
    }

    public function wiring(Job $job, string $run): Response
    {
        $plan = $job->newest()->plan();
        abort_unless(isset($plan->runs[$run]), 404);

        return Download::with(WiringDiagram::svg($plan, $plan->runs[$run]), "wiring-{$run}.svg", 'image/svg+xml');
    }

    private function said(Job $job): JsonResponse
    {
        return new JsonResponse(
            new LeftBehind(
                facts: $this->facts->for($job),
                notes: $this->notes->for($job->crew, $job->newest()->plan()),
            ),
        );
    }
}
