<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Figure;

/** A run of a place. */
final readonly class SurveyRun implements View
{
    use WrittenRecord;

    /**
     * @param  list<string>  $mounting
     * @param  int  $pixels  0 where it is not of pixels
     * @param  int  $columns  of its matrix; 0 without one
     * @param  bool  $fixed  whether the end at which data comes in must not change
     * @param  string  $matrix  its order in words; empty without one
     */
    public function __construct(
        public string $id,
        public string $name,
        public Figure $length,
        public ?Figure $apart,
        #[Field(of: Field::TEXTS)] public array $mounting,
        public string $light,
        public string $height,
        public int $pixels,
        public int $columns,
        public int $rows,
        public string $matrix,
        public bool $fixed,
    ) {}
}
