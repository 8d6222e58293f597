<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Bench screen of a job: its runs, their tests and, for one run, colours, sections and meter. */
final readonly class BenchPicture implements View
{
    use WrittenRecord;

    /**
     * @param  list<BenchRunView>  $runs
     * @param  list<BenchTestView>  $tests
     * @param  list<BenchChoice>  $commanders
     * @param  list<BenchReelStrip>  $strips
     * @param  list<BenchChoice>  $transistors  of the shelf, for helper circuits
     */
    public function __construct(
        public string $run,
        #[Field(of: BenchRunView::class)] public array $runs,
        #[Field(of: BenchTestView::class)] public array $tests,
        public string $commander,
        #[Field(of: BenchChoice::class)] public array $commanders,
        public ?BenchColours $colours,
        public ?BenchCount $count,
        public ?BenchMatrix $matrix,
        #[Field(of: BenchReelStrip::class)] public array $strips,
        #[Field(of: BenchChoice::class)] public array $transistors,
        public ?BenchChannel $channel,
        public ?BenchMeter $meter,
    ) {}
}
