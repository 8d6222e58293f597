<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** An entry of the log. */
final readonly class LogLine implements View
{
    use WrittenRecord;

    /**
     * @param  string  $uuid Of an entry that can be struck out; empty for ticks, photos and joins.
     * @param  string  $struck Who struck it out, when and why; empty for an entry that counts.
     */
    public function __construct(
        public string $id,
        public string $day,
        public string $at,
        public int $visit,
        public string $who,
        public string $kind,
        public string $part,
        public string $words,
        public string $photo,
        public string $place,
        public string $uuid,
        public string $struck,
    ) {}
}
