<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Tracing of cable legs: the answers so far and the next step. */
final readonly class TraceAnswer implements View
{
    use WrittenRecord;

    /**
     * @param  list<string>  $legs
     * @param  list<TraceEnd>  $ends
     * @param  list<TraceFound>  $found
     */
    public function __construct(
        public int $id,
        public string $place,
        public string $near,
        #[Field(of: Field::TEXTS)] public array $legs,
        public int $asked,
        public ?TraceStep $step,
        #[Field(of: TraceEnd::class)] public array $ends,
        #[Field(of: TraceFound::class)] public array $found,
        public bool $recorded,
        public string $caution,
    ) {}
}
