<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PartRequest;
use App\Models\Job;
use App\Models\User;
use App\Plans\Offcuts;
use App\Plans\Revisions;
use App\Plans\Workshop;
use App\Screens\Parts\PartsTables;
use EmberDusk\Formats\Csv;
use EmberDusk\Parts\Labels;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Inertia\Inertia;
use Inertia\Response as Page;

/** Marks of the parts list, and the list for a spreadsheet. */
final readonly class PartController
{
    public function __construct(private Workshop $workshop) {}

    public function mark(PartRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        $part = $request->string('part')->toString();
        $state = (string) $request->validated('state');
        $cuts = $this->workshop->work($job, Revisions::newest($job)->plan())->schedule()->parts->cuts;
        DB::transaction(static function () use ($job, $user, $request, $part, $state, $cuts): void {
            $job->partMarks()->updateOrCreate(
                ['part' => $part],
                [
                    'state' => $state,
                    'arrives' => $state === 'ordered' ? $request->validated('arrives') : null,
                    'user_id' => $user->id,
                ],
            );
            foreach ($cuts as $cut) {
                if ($cut->kit === $part) {
                    Offcuts::pack($job, $cut, $state === 'packed');
                }
            }
        });

        return new JsonResponse($this->workshop->answer($job, $user, Revisions::newest($job), 'parts'));
    }

    public function labels(Job $job): Page
    {
        return Inertia::render('Labels', [
            'job' => $job->id,
            'name' => $job->name,
            'labels' => Labels::of(Revisions::newest($job)->plan()),
        ]);
    }

    public function cuts(Job $job): Response
    {
        return new Response(
            Csv::write(PartsTables::cutRows($this->workshop->work($job, Revisions::newest($job)->plan()))),
            200,
            [
                'Content-Type' => 'text/csv; charset=utf-8',
                'Content-Disposition' => 'attachment; filename="' . Str::slug($job->name) . '-cuts.csv"',
            ],
        );
    }

    public function csv(Job $job): Response
    {
        return new Response(
            Csv::write(PartsTables::rows($this->workshop->work($job, Revisions::newest($job)->plan()))),
            200,
            [
                'Content-Type' => 'text/csv; charset=utf-8',
                'Content-Disposition' => 'attachment; filename="' . Str::slug($job->name) . '-parts.csv"',
            ],
        );
    }
}
