<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Facts\Bases;
use App\Http\Requests\SplitsRequest;
use App\Models\Job;
use App\Screens\Kit\OptionsView;
use EmberDusk\Options\Options;
use EmberDusk\Options\Questions;
use EmberDusk\Options\Splits;
use EmberDusk\Plan\Changes\Splits\SplitParts;
use Illuminate\Http\JsonResponse;

/** The options of a run side by side, and the ways to split it, each solved. */
final readonly class OptionController
{
    public function show(Job $job, string $run): JsonResponse
    {
        $plan = $job->newest()->plan();
        $of = $plan->run($run);

        return new JsonResponse(
            new OptionsView(
                run: $of->id,
                name: ucfirst($of->word),
                asked: Questions::all(),
                options: Options::for($plan, $of, Bases::for($job)),
            ),
        );
    }

    public function splits(SplitsRequest $request, Job $job, string $run): JsonResponse
    {
        $plan = $job->newest()->plan();
        $of = $plan->run($run);

        return new JsonResponse([
            'run' => $of->id,
            'name' => ucfirst($of->word),
            'most' => SplitParts::MOST,
            'ways' => Splits::for($plan, $of, $request->parts(), Bases::for($job)),
        ]);
    }
}
