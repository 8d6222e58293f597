<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/**
 * Settings of a light: dimming curve and power-on behaviour. Empty means factory setting. The id is the controller's or the board's.
 */
final readonly class Tuning implements JsonReadable
{
    use Record;

    /** Curve as text: turns an app's level into a duty. */
    public const CURVES = [
        'linear' => 'as sent',
        'square' => 'square law',
        'dali' => 'logarithmic, as DALI',
        'lightness' => 'even to the eye',
    ];

    public const OFF = 'off';

    public const LAST = 'last';

    public const LEVEL = 'level';

    public const POWER = [
        self::OFF => 'stays off',
        self::LAST => 'last level',
        self::LEVEL => 'set level',
    ];

    /** @param  float  $level  share of full light at which it comes up, where its state is set level */
    public function __construct(
        #[Field(longest: 40)] public string $id,
        #[Field(oneOf: self::CURVES, orEmpty: true)] public string $curve = '',
        #[Field(oneOf: self::POWER, orEmpty: true)] public string $powerOn = '',
        #[Field(0, 1)] public float $level = 1.0,
    ) {}

    /** Planned power-on behaviour as text; empty if not set. */
    public function returns(): string
    {
        if ($this->powerOn === self::LEVEL) {
            return sprintf('switches on at %d %%', (int) round(100 * $this->level));
        }

        return self::POWER[$this->powerOn] ?? '';
    }
}
