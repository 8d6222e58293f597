<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ReelRequest;
use App\Kit\Shelves;
use App\Models\Job;
use App\Screens\Bench\BenchReel;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\MeasuredReel;
use EmberDusk\Kit\Strip;
use EmberDusk\Values\InvalidInput;
use Illuminate\Http\JsonResponse;

/** A measured reel: its rail resistance, offered to the crew's shelf. Jobs keep their entry until updated. */
final class ReelController
{
    public function __invoke(ReelRequest $request, Job $job): JsonResponse
    {
        $id = $request->string('kit')->toString();
        $kit = Shelves::ofCrew($job->crew)->find($id) ?? ($job->newest()->plan()->kit[$id] ?? null);
        if (!($kit instanceof KitSnapshot) || !($kit->entry instanceof Strip)) {
            throw InvalidInput::at('/kit', 'Choose a strip that is on the shelf.');
        }
        $reel = MeasuredReel::from(
            written: $kit->written,
            length: $request->float('length'),
            amps: $request->float('amps'),
            startVolts: $request->float('startVolts'),
            endVolts: $request->float('endVolts'),
        );
        if ($request->boolean('keep')) {
            Shelves::put($job->crew, [$id => $reel->written]);
        }

        return new JsonResponse(
            new BenchReel(
                kit: $kit->entry->name(),
                plus: $reel->strip->plusRail,
                wasPlus: $kit->entry->plusRail,
                returnRail: $reel->strip->returnRail,
                wasReturn: $kit->entry->returnRail,
                kept: $request->boolean('keep'),
            ),
        );
    }
}
