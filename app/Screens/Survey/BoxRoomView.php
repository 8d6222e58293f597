<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Free room of a box. */
final readonly class BoxRoomView implements View
{
    use WrittenRecord;

    /**
     * @param  list<string>  $holds
     * @param  list<string>  $still
     */
    public function __construct(
        public string $name,
        #[Field(of: Field::TEXTS)] public array $holds,
        public string $taken,
        public string $most,
        #[Field(of: Field::TEXTS)] public array $still,
    ) {}
}
