<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Facts\Offcuts;
use App\Http\Requests\PartRequest;
use App\Models\Job;
use App\Models\User;
use App\Papers\Download;
use App\Results\JobLoader;
use App\Screens\Parts\PartsTables;
use EmberDusk\Formats\Csv;
use EmberDusk\Parts\Labels;
use EmberDusk\Values\JobStage;
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
    public function __construct(private JobLoader $loader) {}

    public function mark(PartRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        $part = $request->string('part')->toString();
        $state = (string) $request->validated('state');
        $cuts = $this->loader->load($job, $job->newest()->plan())->schedule()->parts->cuts;
        DB::transaction(static function () use ($job, $user, $request, $part, $state, $cuts): void {
            $arrives = $state === 'ordered' ? $request->validated('arrives') : null;
            $job->partMarks()->updateOrCreate(
                ['part' => $part],
                [
                    'state' => $state,
                    'arrives' => $arrives,
                    'user_id' => $user->id,
                ],
            );
            foreach ($cuts as $cut) {
                if ($cut->kit === $part) {
                    Offcuts::pack($job, $cut, $state === 'packed');
                }
            }
        });

        return new JsonResponse($this->loader->answer($job, $user, $job->newest(), JobStage::Parts));
    }

    public function labels(Job $job): Page
    {
        return Inertia::render('Labels', [
            'job' => $job->id,
            'name' => $job->name,
            'labels' => Labels::for($job->newest()->plan()),
        ]);
    }

    public function cuts(Job $job): Response
    {
        return self::csvOf(PartsTables::cutRows($this->loader->load($job, $job->newest()->plan())), $job, 'cuts');
    }

    public function csv(Job $job): Response
    {
        return self::csvOf(PartsTables::rows($this->loader->load($job, $job->newest()->plan())), $job, 'parts');
    }

    /** @param  list<list<string>>  $rows */
    private static function csvOf(array $rows, Job $job, string $of): Response
    {
        return Download::with(Csv::write($rows), Str::slug($job->name) . "-{$of}.csv", Download::CSV);
    }
}
