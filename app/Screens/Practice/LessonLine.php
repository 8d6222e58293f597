<?php

declare(strict_types=1);

namespace App\Screens\Practice;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A lesson in the list, with the tries so far. */
final readonly class LessonLine implements View
{
    use WrittenRecord;

    /** @param  list<string>  $names */
    public function __construct(
        public int $number,
        public string $key,
        public string $title,
        public string $teaches,
        public string $goal,
        public bool $told,
        #[Field(of: Field::TEXTS)] public array $names,
        public int $tries,
        #[Field(oneOf: ['new', 'tried', 'passed', 'clean'])] public string $state,
        public ?float $best,
        public ?int $open,
    ) {}
}
