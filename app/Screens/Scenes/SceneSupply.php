<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** Amps of a supply in a scene. */
final readonly class SceneSupply implements View
{
    use WrittenRecord;

    public function __construct(public string $label, public float $amps, public float $peak, public bool $lit) {}
}
