<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;

/**
 * How a light is set up for every day: the curve of its dimming and what it does when its power returns. What is empty is as it came.
 * The id is the controller's or the board's.
 */
final readonly class Tuning
{
    /** What is in words: an app's share of full light becomes a duty by it. */
    public const CURVES = [
        'linear' => 'as it is said',
        'square' => 'square law',
        'dali' => 'logarithmic, as DALI',
        'lightness' => 'even to the eye',
    ];

    public const OFF = 'off';

    public const LAST = 'last';

    public const LEVEL = 'level';

    public const POWER = [
        self::OFF => 'stays off',
        self::LAST => 'as it was before',
        self::LEVEL => 'a level of its own',
    ];

    /** @param  float  $level  share of full light at which it comes up, where its state is a level of its own */
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

    /** What it is wanted to do when its power returns, in words; empty where nobody has said. */
    public function returns(): string
    {
        if ($this->powerOn === self::LEVEL) {
            return sprintf('comes up at %d %%', (int) round(100 * $this->level));
        }

        return self::POWER[$this->powerOn] ?? '';
    }
}
