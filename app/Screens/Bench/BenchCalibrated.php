<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Values of the job that the readings changed. */
final readonly class BenchCalibrated implements View
{
    use WrittenRecord;

    /** @param  list<string>  $joints */
    public function __construct(
        public BenchRange $rails,
        public BenchRange $supplies,
        #[Field(of: Field::TEXTS)] public array $joints,
    ) {}
}
