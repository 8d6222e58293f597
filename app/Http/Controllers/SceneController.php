<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\MixRequest;
use App\Models\Job;
use App\Screens\Scenes\MixedColour;
use App\Screens\Scenes\ShowFrames;
use EmberDusk\Circuit\Colour;
use EmberDusk\Control\Mixing;
use Illuminate\Http\JsonResponse;

/** Duties of a light's channels for a level, a colour or a white, and the frames of a show; writes nothing. */
final readonly class SceneController
{
    public function mix(MixRequest $request, Job $job): JsonResponse
    {
        $of = $request->string('of')->toString();
        $mixing = Mixing::for($job->newest()->plan(), $of);
        abort_if($mixing === null, 404);
        $level = $request->float('level');
        $mixed = match (true) {
            $request->filled('colour') => $mixing->colour(
                $level,
                Colour::ofHex($request->string('colour')->toString()),
            ),
            $request->filled('kelvin') => $mixing->white($level, $request->float('kelvin')),
            $request->duties() !== [] => $mixing->like($level, $request->duties()),
            default => $mixing->plain($level),
        };

        return new JsonResponse(
            new MixedColour(duties: $mixed->duties, level: $level, colour: $mixed->seen->hex(), note: $mixed->note),
        );
    }

    public function frames(Job $job, string $show): JsonResponse
    {
        $plan = $job->newest()->plan();
        abort_unless(isset($plan->shows[$show]), 404);

        return new JsonResponse(ShowFrames::for($plan, $plan->shows[$show]));
    }
}
