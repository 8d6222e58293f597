<?php

declare(strict_types=1);

namespace App\Screens\Practice;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** Score of a practice. */
final readonly class PracticeScore implements JsonReadable, View
{
    use Record;

    /** @param  list<string>  $lines */
    public function __construct(
        public bool $passed,
        public bool $clean,
        public int $works,
        public int $wanted,
        public int $resets,
        public int $missed,
        public float $seconds,
        public float $guide,
        #[Field(of: Field::TEXTS)] public array $lines,
        public string $mistake,
        public ?TurningView $turning,
        public int $guesses = 0,
        public int $useless = 0,
    ) {}
}
