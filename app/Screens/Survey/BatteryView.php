<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Figure;

/** A battery of a place, with its caution. */
final readonly class BatteryView implements View
{
    use WrittenRecord;

    /** @param  list<Figure>  $volts */
    public function __construct(
        public string $name,
        public string $text,
        #[Field(of: Figure::class)] public array $volts,
        public string $caution,
    ) {}
}
