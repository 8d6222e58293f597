<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A key of a device and its gestures. */
final readonly class JoinKey implements View
{
    use WrittenRecord;

    /**
     * @param  list<int>  $presses
     * @param  list<float>  $holds
     */
    public function __construct(
        public string $key,
        #[Field(of: Field::WHOLES)] public array $presses,
        #[Field(of: Field::NUMBERS)] public array $holds,
        public ?float $lit,
    ) {}
}
