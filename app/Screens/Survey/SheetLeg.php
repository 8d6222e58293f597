<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A cable leg on the sheet of walls. */
final readonly class SheetLeg implements View
{
    use WrittenRecord;

    /**
     * @param  list<float>|null  $from
     * @param  list<float>|null  $to
     */
    public function __construct(
        public string $name,
        public string $text,
        #[Field(of: Field::NUMBERS)] public ?array $from,
        #[Field(of: Field::NUMBERS)] public ?array $to,
        public bool $known,
        public string $far,
        public bool $traced,
    ) {}
}
