<?php

declare(strict_types=1);

namespace App\Screens\Practice;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** The lessons. */
final readonly class PracticeHomeView implements View
{
    use WrittenRecord;

    /** @param  list<LessonLine>  $lessons */
    public function __construct(#[Field(of: LessonLine::class)] public array $lessons) {}
}
