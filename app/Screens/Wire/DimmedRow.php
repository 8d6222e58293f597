<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A light that can be dimmed. */
final readonly class DimmedRow implements View
{
    use WrittenRecord;

    /** @param  list<string>  $channels */
    public function __construct(
        public string $id,
        public string $name,
        #[Field(of: Field::TEXTS)] public array $channels,
    ) {}
}
