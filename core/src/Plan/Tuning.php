<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;

/**
 * Settings of a light: dimming curve and power-on behaviour. Empty means factory setting. The id is the controller's or the board's.
 */
final readonly class Tuning
{
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
        public string $id,
        public string $curve = '',
        public string $powerOn = '',
        public float $level = 1.0,
    ) {}

    /** @throws \EmberDusk\Values\Refusal at what cannot be */
    public static function read(Fields $f): self
    {
        return new self(
            $f->string('id', 40),
            $f->oneOf('curve', ['', ...array_keys(self::CURVES)]),
            $f->oneOf('powerOn', ['', ...array_keys(self::POWER)]),
            $f->number('level', 0, 1),
        );
    }

    /** @return array<string, mixed> */
    public function write(): array
    {
        return ['id' => $this->id, 'curve' => $this->curve, 'powerOn' => $this->powerOn, 'level' => $this->level];
    }

    /** Planned power-on behaviour as text; empty if not set. */
    public function returns(): string
    {
        if ($this->powerOn === self::LEVEL) {
            return sprintf('switches on at %d %%', (int) round(100 * $this->level));
        }

        return self::POWER[$this->powerOn] ?? '';
    }
}
