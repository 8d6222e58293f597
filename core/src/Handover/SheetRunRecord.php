<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Figure;
use EmberDusk\Values\JsonWritable;

/** A run on the sheet: its kit, its wiring and its predicted figures. */
final readonly class SheetRunRecord implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  string  $wiring  the wiring diagram as SVG; empty without feed points
     * @param  list<string>  $data  settings of a pixel board
     * @param  string|null  $reset  how its controller is reset
     * @param  list<SheetCable>  $cables  from the supply outwards
     * @param  list<Figure>  $figures
     */
    public function __construct(
        public string $id,
        public string $wiring,
        public string $name,
        public string $place,
        public ?string $strip,
        public string $length,
        public ?string $supply,
        public ?string $controller,
        #[Field(of: Field::TEXTS)] public array $data,
        public ?string $light,
        public ?string $room,
        public ?string $reset,
        #[Field(of: SheetCable::class)] public array $cables,
        #[Field(of: Figure::class)] public array $figures,
    ) {}
}
