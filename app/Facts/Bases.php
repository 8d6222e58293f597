<?php

declare(strict_types=1);

namespace App\Facts;

use App\Kit\Shelves;
use App\Models\Job;
use EmberDusk\Costing\Basis;
use EmberDusk\Parts\Offcut;
use EmberDusk\Schedule\Arrangement;

/** Price inputs of a job besides its plan. */
final readonly class Bases
{
    public static function for(Job $job): Basis
    {
        return new Basis(
            Shelves::ofCrew($job->crew),
            Offcut::byKit(Offcuts::for($job)),
            Ticks::productivity($job),
            $job->arrangement()->first()?->read() ?? new Arrangement(),
        );
    }
}
