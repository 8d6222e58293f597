<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A kit entry that fits a slot, with how well it fits. */
final readonly class Option implements View
{
    use WrittenRecord;

    /** @param  list<string>  $facts */
    public function __construct(
        public string $id,
        public string $name,
        #[Field(of: Field::TEXTS)] public array $facts,
        public bool $chosen,
        public bool $moved,
        public ?GaugeView $gauge,
        public ?string $verdict,
        public ?string $severity,
    ) {}
}
