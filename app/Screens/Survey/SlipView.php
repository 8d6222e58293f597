<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A slip in the notes: position, message, correction. */
final readonly class SlipView implements View
{
    use WrittenRecord;

    public function __construct(
        public int $line,
        public int $column,
        public int $length,
        public string $message,
        public ?string $instead,
    ) {}
}
