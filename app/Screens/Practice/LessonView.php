<?php

declare(strict_types=1);

namespace App\Screens\Practice;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A lesson: what it teaches and its goal. */
final readonly class LessonView implements View
{
    use WrittenRecord;

    /**
     * @param  list<string>  $names
     * @param  string|null  $next  key of the lesson after it; null for the last
     */
    public function __construct(
        public int $number,
        public string $key,
        public string $title,
        public string $teaches,
        public string $goal,
        public bool $told,
        #[Field(of: Field::TEXTS)] public array $names,
        public ?string $next,
        public string $nextTitle,
    ) {}
}
