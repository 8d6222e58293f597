<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;

/** A scene of a show: seconds that it stays, seconds in which it comes. */
final readonly class ShowStep
{
    public function __construct(public string $scene, public float $hold, public float $fade = 0.0) {}

    public static function read(Fields $f): self
    {
        return new self(
            $f->string('scene', 40),
            $f->number('hold', 0, Show::LONGEST),
            $f->number('fade', 0, Show::LONGEST),
        );
    }

    /** @return array{scene: string, hold: float, fade: float} */
    public function write(): array
    {
        return ['scene' => $this->scene, 'hold' => $this->hold, 'fade' => $this->fade];
    }
}
