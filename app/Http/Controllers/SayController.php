<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\SayRequest;
use App\Models\Job;
use App\Screens\Scenes\SpokenPicture;
use EmberDusk\Control\Assistants;
use Illuminate\Http\JsonResponse;

/** Someone speaks to the assistants of a job, as simulated devices. */
final readonly class SayController
{
    public function __invoke(SayRequest $request, Job $job): JsonResponse
    {
        return new JsonResponse(
            SpokenPicture::for((new Assistants($job->newest()->plan()))->say($request->string('said')->toString())),
        );
    }
}
