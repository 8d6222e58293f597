<?php

declare(strict_types=1);

namespace App\Screens\Build;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A step in the calendar. */
final readonly class BuildSlot implements View
{
    use WrittenRecord;

    /**
     * @param  list<int>  $people
     * @param  list<string>  $waits
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $place,
        public string $day,
        public int $from,
        public int $to,
        #[Field(of: Field::WHOLES)] public array $people,
        public bool $critical,
        public bool $last,
        public bool $short,
        public int $wait,
        #[Field(of: Field::TEXTS)] public array $waits,
    ) {}
}
