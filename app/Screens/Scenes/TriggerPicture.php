<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A trigger that starts a scene or a show. */
final readonly class TriggerPicture implements View
{
    use WrittenRecord;

    /** @param  list<int>  $days */
    public function __construct(
        public string $id,
        public string $by,
        public string $on,
        #[Field(of: Field::WHOLES)] public array $days,
        public int $minutes,
        public string $plays,
        public int $priority,
        public float $after,
        public string $words,
        public string $says,
        public bool $timed,
    ) {}
}
