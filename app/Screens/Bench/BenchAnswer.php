<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** Bench screen, with the practice that is under way. */
final readonly class BenchAnswer implements View
{
    use WrittenRecord;

    public function __construct(public BenchPicture $bench, public ?BenchPracticeView $practice) {}
}
