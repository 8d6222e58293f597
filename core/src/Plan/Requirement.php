<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** An option for a run, by requirement; the matching kit of the shelf is found each time. */
final readonly class Requirement implements JsonReadable
{
    use Record;

    public const COLOURS = ['single', 'tunable', 'rgb', 'rgbw', 'rgbcct', 'pixels'];

    public const LIGHTS = ['room', 'mood'];

    /** From the shelf at its price, the client's kit first, or a ready-made set. */
    public const SOURCES = ['shelf', 'owned', 'set'];

    /** What works the light, if that was asked. */
    public const WORKED = ['remote', 'panel', 'phone', 'assistant'];

    public const CONTROLS = ['zigbee', 'bluetooth', 'mesh', 'wifi', 'rf'];

    /**
     * @param  int  $controllers  0 for as many as are needed
     * @param  float  $cap  share of full load that the supply is sized for; below 1 a limit must be set in the controller
     * @param  string  $by  what works the light; empty where it was not asked
     */
    public function __construct(
        #[Field(longest: 40)] public string $id,
        #[Field(longest: 40)] public string $run,
        #[Field(3, 60)] public float $volts,
        #[Field(oneOf: self::LIGHTS)] public string $light,
        #[Field(oneOf: self::COLOURS)] public string $colour,
        #[Field(0, 4)] public int $controllers,
        #[Field(oneOf: self::CONTROLS)] public string $control,
        #[Field(oneOf: self::SOURCES)] public string $source,
        #[Field(0.2, 1)] public float $cap = 1.0,
        #[Field(oneOf: self::WORKED, orEmpty: true, optional: true)] public string $by = '',
    ) {}

    public function with(int $controllers): self
    {
        return $this->withChanged(controllers: $controllers);
    }
}
