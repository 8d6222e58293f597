<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A scene with its lights and its amps. */
final readonly class ScenePicture implements View
{
    use WrittenRecord;

    /**
     * @param  list<SceneSupply>  $supplies
     * @param  list<SceneRibbon>  $ribbons
     * @param  list<SceneLight>  $lights
     */
    public function __construct(
        public string $id,
        public string $name,
        public float $fade,
        public ?float $amps,
        #[Field(of: SceneSupply::class)] public array $supplies,
        #[Field(of: SceneRibbon::class)] public array $ribbons,
        #[Field(of: SceneLight::class)] public array $lights,
        public float $standby,
    ) {}
}
