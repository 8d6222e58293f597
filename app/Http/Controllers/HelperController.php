<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\HelperRequest;
use App\Kit\Shelves;
use App\Models\Job;
use App\Screens\Bench\HelperView;
use EmberDusk\Bench\Helpers\Divider;
use EmberDusk\Bench\Helpers\LowSideSwitch;
use EmberDusk\Kit\Transistor;
use EmberDusk\Values\InvalidInput;
use Illuminate\Http\JsonResponse;

/** Calculates a helper circuit; nothing is stored. */
final class HelperController
{
    public function __invoke(HelperRequest $request, Job $job): JsonResponse
    {
        if ($request->string('kind')->toString() === 'divider') {
            $circuit = new Divider(
                most: $request->float('most'),
                least: $request->float('least'),
                bears: $request->float('bears'),
                reads: $request->float('reads'),
                tolerance: $request->float('tolerance') / 100,
            );

            return new JsonResponse(HelperView::for($circuit->circuit()));
        }
        $transistor = Shelves::ofCrew($job->crew)->find($request->string('kit')->toString())?->entry;
        if (!($transistor instanceof Transistor)) {
            throw InvalidInput::at('/kit', 'Choose a transistor of the shelf.');
        }
        $circuit = new LowSideSwitch(
            transistor: $transistor,
            volts: $request->float('volts'),
            amps: $request->float('amps'),
            pin: $request->float('pin'),
            pinAmps: $request->float('pinMilliamps') / 1000,
            ambient: $request->float('ambient'),
        );

        return new JsonResponse(HelperView::for($circuit->circuit()));
    }
}
