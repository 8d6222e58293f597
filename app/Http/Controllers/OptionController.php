<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Facts\Bases;
use App\Http\Requests\ShelfSearchRequest;
use App\Http\Requests\SplitsRequest;
use App\Kit\ShelfSearch;
use App\Models\Job;
use App\Screens\Kit\ItemFinds;
use App\Screens\Kit\OptionsView;
use App\Screens\Wire\SplitsView;
use EmberDusk\Kit\Kinds;
use EmberDusk\Options\Needs;
use EmberDusk\Options\Options;
use EmberDusk\Options\Questions;
use EmberDusk\Options\Splits;
use EmberDusk\Plan\Changes\Splits\SplitParts;
use Illuminate\Http\JsonResponse;

/** Options of a run side by side, ways to split it, and kit for the other items of a job. */
final readonly class OptionController
{
    /** Shelf entries that are held against the job in one search. */
    private const LOOKED_AT = 40;

    public function show(Job $job, string $run): JsonResponse
    {
        $plan = $job->newest()->plan();
        $of = $plan->run($run);
        $basis = Bases::for($job);

        return new JsonResponse(
            new OptionsView(
                run: $of->id,
                name: $of->whole(),
                asked: Questions::all(),
                needs: Needs::questions(),
                sets: (new Needs($plan, $of, $basis->shelf))->sets(),
                options: Options::for($plan, $of, $basis),
            ),
        );
    }

    /** Shelf entries for the other items of the job. */
    public function items(ShelfSearchRequest $request, Job $job): JsonResponse
    {
        $found = ShelfSearch::matching($job->crew, $request->find())
            ->whereIn('kind', array_keys(Kinds::beside()))
            ->orderBy('kind')
            ->orderBy('id')
            ->limit(self::LOOKED_AT)
            ->get();

        return new JsonResponse(ItemFinds::for($job->newest()->plan(), $found));
    }

    public function splits(SplitsRequest $request, Job $job, string $run): JsonResponse
    {
        $plan = $job->newest()->plan();
        $of = $plan->run($run);

        return new JsonResponse(
            new SplitsView(
                run: $of->id,
                name: $of->whole(),
                most: SplitParts::MOST,
                ways: Splits::for($plan, $of, $request->parts(), Bases::for($job)),
            ),
        );
    }
}
