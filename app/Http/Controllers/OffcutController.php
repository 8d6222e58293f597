<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Facts\Offcuts;
use App\Http\Requests\LeaveOffcutsRequest;
use App\Http\Requests\NewOffcutRequest;
use App\Models\CrewOffcut;
use App\Models\Job;
use App\Models\User;
use App\Results\JobLoader;
use EmberDusk\Values\JobStage;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** Offcuts in the van: typed, kept from a job, removed. */
final readonly class OffcutController
{
    public function __construct(private JobLoader $loader) {}

    public function store(NewOffcutRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        DB::transaction(static function () use ($request, $job): void {
            for ($n = 0; $n < $request->integer('count'); $n++) {
                $job->crew->offcuts()->create([
                    'kit' => $request->string('kit')->toString(),
                    'mm' => (int) round(1000 * $request->float('metres')),
                ]);
            }
        });

        return $this->answer($job, $user);
    }

    public function leave(LeaveOffcutsRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        $cuts = $this->loader->load($job, $job->newest()->plan())->schedule()->parts->cuts;
        DB::transaction(static function () use ($request, $job, $cuts): void {
            foreach ($cuts as $cut) {
                if ($cut->kit === $request->string('kit')->toString()) {
                    Offcuts::leave($job, $cut);
                }
            }
        });

        return $this->answer($job, $user);
    }

    public function destroy(Job $job, int $offcut, #[CurrentUser] User $user): JsonResponse
    {
        DB::transaction(
            static fn(): ?bool => CrewOffcut::query()->where('crew_id', $job->crew_id)->findOrFail($offcut)->delete(),
        );

        return $this->answer($job, $user);
    }

    private function answer(Job $job, User $user): JsonResponse
    {
        return new JsonResponse($this->loader->answer($job, $user, $job->newest(), JobStage::Parts));
    }
}
