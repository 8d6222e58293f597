<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Plan\ShowStep;

/** A show: its steps and when it plays. */
final readonly class ShowPicture implements View
{
    use WrittenRecord;

    /**
     * @param  list<ShowStep>  $steps
     * @param  list<string>  $lights
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $kind,
        public string $says,
        #[Field(of: ShowStep::class)] public array $steps,
        #[Field(of: Field::TEXTS)] public array $lights,
        public float $every,
        public string $way,
        public int $rounds,
        public string $leader,
        public ?float $round,
        public ?float $ends,
        public float $flashes,
    ) {}
}
