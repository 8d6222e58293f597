<?php

declare(strict_types=1);

namespace App\Screens\Build;

use App\Screens\HashedRow;
use App\Screens\KeyedRow;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Figure;

/** A step with its work, people, tools and caution. */
final readonly class BuildStep implements KeyedRow
{
    use HashedRow;
    use WrittenRecord;

    /**
     * @param  list<string>  $tools
     * @param  list<string>  $after
     */
    public function __construct(
        public string $id,
        public string $kind,
        public string $title,
        public string $place,
        public string $why,
        public int $minutes,
        public Figure $work,
        public int $people,
        #[Field(of: Field::TEXTS)] public array $tools,
        public string $caution,
        public int $wait,
        #[Field(of: Field::TEXTS)] public array $after,
        public bool $done,
        public int $taken,
        public string $at,
        public int $timed,
    ) {}
}
