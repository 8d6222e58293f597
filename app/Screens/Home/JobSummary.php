<?php

declare(strict_types=1);

namespace App\Screens\Home;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** Calculated part of a job's line in the list of jobs. */
final readonly class JobSummary implements JsonReadable, View
{
    use Record;

    /**
     * @param  list<mixed>  $stages
     * @param  list<string>  $waits  parts on the way, the next visit
     */
    public function __construct(
        #[Field(defined: 'screen.json#/$defs/stage')] public array $stages,
        #[Field(of: Field::TEXTS)] public array $waits,
        public ?JobNext $next,
    ) {}
}
