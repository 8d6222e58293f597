<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A practice with a hidden fault. */
final readonly class BenchPracticeView implements View
{
    use WrittenRecord;

    public function __construct(public int $id, public bool $whole) {}
}
