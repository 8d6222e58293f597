<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Multimeter screen of a run: readings, what they mean and where to measure next. */
final readonly class BenchMeter implements View
{
    use WrittenRecord;

    /**
     * @param  list<BenchSpot>  $spots
     * @param  list<BenchChoice>  $commands
     * @param  list<BenchReading>  $rows
     * @param  list<BenchBelief>  $belief
     * @param  list<non-empty-list<BenchPairFault>>  $pairs Two faults that explain the readings together, likeliest first.
     * @param  list<string>  $open Faults that the readings so far would not have shown.
     * @param  bool  $acts Whether the likeliest fault is offered to be fixed.
     */
    public function __construct(
        public BenchWiring $wiring,
        #[Field(of: BenchSpot::class)] public array $spots,
        #[Field(of: BenchChoice::class)] public array $commands,
        #[Field(of: BenchReading::class)] public array $rows,
        public string $tolerances,
        public string $off,
        public ?BenchCalibrated $calibrated,
        #[Field(of: BenchBelief::class)] public array $belief,
        #[Field(of: BenchPairFault::class, depth: 2)] public array $pairs,
        #[Field(of: Field::TEXTS)] public array $open,
        public ?BenchNext $next,
        public bool $sure,
        public bool $acts,
        public string $refused,
    ) {}
}
