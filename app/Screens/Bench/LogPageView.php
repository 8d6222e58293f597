<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A page of the job's log. */
final readonly class LogPageView implements View
{
    use WrittenRecord;

    /**
     * @param  list<LogLine>  $lines
     * @param  list<BenchChoice>  $kinds
     * @param  list<BenchChoice>  $parts
     */
    public function __construct(
        #[Field(of: LogLine::class)] public array $lines,
        public int $total,
        public int $pages,
        #[Field(of: BenchChoice::class)] public array $kinds,
        #[Field(of: BenchChoice::class)] public array $parts,
    ) {}
}
