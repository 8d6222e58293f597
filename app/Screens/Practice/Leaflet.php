<?php

declare(strict_types=1);

namespace App\Screens\Practice;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Instructions of a device. */
final readonly class Leaflet implements View
{
    use WrittenRecord;

    /**
     * @param  list<LeafletGesture>  $gestures
     * @param  list<LeafletSignal>  $signals
     * @param  list<string>  $figures
     */
    public function __construct(
        public string $device,
        public string $label,
        public string $name,
        #[Field(of: LeafletGesture::class)] public array $gestures,
        #[Field(of: LeafletSignal::class)] public array $signals,
        #[Field(of: Field::TEXTS)] public array $figures,
    ) {}
}
