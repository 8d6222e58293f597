<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Dimming curves and states after a power cut. */
final readonly class PowerPicture implements View
{
    use WrittenRecord;

    /**
     * @param  list<KeyedWords>  $curves
     * @param  list<KeyedWords>  $states
     * @param  list<PowerLight>  $lights
     */
    public function __construct(
        #[Field(of: KeyedWords::class)] public array $curves,
        #[Field(of: KeyedWords::class)] public array $states,
        #[Field(of: PowerLight::class)] public array $lights,
    ) {}
}
