<?php

declare(strict_types=1);

namespace App\Screens\Home;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A page of the list of jobs. */
final readonly class Home implements View
{
    use WrittenRecord;

    /**
     * @param  string  $find  words that the jobs are searched for
     * @param  bool  $archived  whether the archive is shown
     * @param  int  $total  jobs found
     * @param  int  $aside  jobs found on the other side, archive or open
     * @param  list<JobCard>  $jobs
     * @param  list<DeletedJob>  $deleted  that can be brought back, on the first page of the archive
     */
    public function __construct(
        public string $find,
        public bool $archived,
        public int $page,
        public int $pages,
        public int $total,
        public int $aside,
        #[Field(of: JobCard::class)] public array $jobs,
        #[Field(of: DeletedJob::class)] public array $deleted,
    ) {}
}
