<?php

declare(strict_types=1);

namespace App\Screens\Home;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A line of the list of jobs. */
final readonly class JobCard implements View
{
    use WrittenRecord;

    /**
     * @param  string  $changed  time, ISO 8601
     * @param  JobSummary|null  $summary null: it has to be calculated first
     */
    public function __construct(
        public int $id,
        public string $name,
        public string $client,
        public int $revision,
        public string $changed,
        public ?JobSummary $summary,
    ) {}
}
