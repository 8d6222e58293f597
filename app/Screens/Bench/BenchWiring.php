<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Wiring of a run as the meter shows it. */
final readonly class BenchWiring implements View
{
    use WrittenRecord;

    /**
     * @param  list<BenchDevice>  $devices
     * @param  list<BenchCable>  $cables
     * @param  list<BenchStrip>  $runs
     */
    public function __construct(
        #[Field(of: BenchDevice::class)] public array $devices,
        #[Field(of: BenchCable::class)] public array $cables,
        #[Field(of: BenchStrip::class)] public array $runs,
    ) {}
}
