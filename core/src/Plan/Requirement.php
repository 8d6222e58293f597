<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;
use EmberDusk\Values\Copies;

/** An option for a run, by requirement; the matching kit of the shelf is found each time. */
final readonly class Requirement
{
    use Copies;

    public const COLOURS = ['single', 'tunable', 'rgb', 'rgbw', 'rgbcct', 'pixels'];

    public const LIGHTS = ['room', 'mood'];

    /** From the shelf at its price, the client's kit first, or a ready-made set. */
    public const SOURCES = ['shelf', 'owned', 'set'];

    public const CONTROLS = ['zigbee', 'bluetooth', 'mesh', 'wifi', 'rf'];

    /**
     * @param  int  $controllers  0 for as many as are needed
     * @param  float  $cap  share of full load that the supply is sized for; below 1 a limit must be set in the controller
     */
    public function __construct(
        public string $id,
        public string $run,
        public float $volts,
        public string $light,
        public string $colour,
        public int $controllers,
        public string $control,
        public string $source,
        public float $cap = 1.0,
    ) {}

    public function with(int $controllers): self
    {
        return $this->withChanged(controllers: $controllers);
    }

    /** @throws \EmberDusk\Values\Refusal at the first value that cannot be */
    public static function read(Fields $f): self
    {
        return new self(
            id: $f->string('id', 40),
            run: $f->string('run', 40),
            volts: $f->number('volts', 3, 60),
            light: $f->oneOf('light', self::LIGHTS),
            colour: $f->oneOf('colour', self::COLOURS),
            controllers: $f->whole('controllers', 0, 4),
            control: $f->oneOf('control', self::CONTROLS),
            source: $f->oneOf('source', self::SOURCES),
            cap: $f->number('cap', 0.2, 1),
        );
    }

    /** @return array<string, string|int|float> */
    public function write(): array
    {
        return [
            'id' => $this->id,
            'run' => $this->run,
            'volts' => $this->volts,
            'light' => $this->light,
            'colour' => $this->colour,
            'controllers' => $this->controllers,
            'control' => $this->control,
            'source' => $this->source,
            'cap' => $this->cap,
        ];
    }
}
