<?php

declare(strict_types=1);

namespace App\Screens\Home;

use App\Screens\Desk\StageLamp;
use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** Calculated part of a job's line in the list of jobs. */
final readonly class JobSummary implements JsonReadable, View
{
    use Record;

    /**
     * @param  list<StageLamp>  $stages
     * @param  list<string>  $waits  parts on the way, the next visit
     */
    public function __construct(
        #[Field(of: StageLamp::class)] public array $stages,
        #[Field(of: Field::TEXTS)] public array $waits,
        public ?JobNext $next,
    ) {}
}
