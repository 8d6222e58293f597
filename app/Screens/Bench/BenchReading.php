<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Figure;

/** A reading, with the band in which it was expected. */
final readonly class BenchReading implements View
{
    use WrittenRecord;

    public function __construct(
        public string $uuid,
        public string $at,
        public string $who,
        public string $spot,
        public string $command,
        public string $words,
        public string $commandWords,
        public float $value,
        public string $text,
        public string $unit,
        public ?float $low,
        public ?float $high,
        public ?float $newLow,
        public ?float $newHigh,
        public float $meter,
        #[Field(oneOf: ['inside', 'doubtful', 'outside', 'open'])] public string $verdict,
        public bool $stands,
        public string $asks,
        public ?float $meant,
        public string $against,
        public ?Figure $band,
    ) {}
}
