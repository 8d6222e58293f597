<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A show as frames. */
final readonly class Frames implements View
{
    use WrittenRecord;

    /**
     * @param  list<string>  $lights
     * @param  list<Frame>  $frames
     */
    public function __construct(
        #[Field(of: Field::TEXTS)] public array $lights,
        #[Field(of: Frame::class)] public array $frames,
    ) {}
}
