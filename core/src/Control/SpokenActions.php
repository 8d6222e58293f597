<?php

declare(strict_types=1);

namespace EmberDusk\Control;

/** Values in a command: levels, colours, whites, brighter, warmer; and whether they are consistent. */
final readonly class SpokenActions
{
    /** Words that only join others. */
    private const JOINING = [
        'the',
        'a',
        'an',
        'to',
        'of',
        'in',
        'at',
        'with',
        'and',
        'my',
        'our',
        'go',
        'goes',
        'make',
        'set',
        'put',
        'turn',
        'switch',
        'light',
        'lights',
        'lamp',
        'lamps',
        'room',
        'level',
    ];

    public const EVERYTHING = ['all', 'everything', 'everywhere', 'every', 'lights', 'lamps'];

    public const LEFT_OUT = ['but', 'except', 'excluding', 'without'];

    private const PERCENT = ['%', 'percent', 'per'];

    /** Words for a level, in percent. */
    private const LEVELS = [
        'on' => 100.0,
        'off' => 0.0,
        'out' => 0.0,
        'full' => 100.0,
        'fully' => 100.0,
        'maximum' => 100.0,
        'brightest' => 100.0,
        'half' => 50.0,
    ];

    /** Assumed percentage for a plain "dim". */
    private const DIMMED = 30.0;

    /** Share of full by which one word makes it brighter or dimmer: assumed. */
    private const STEPS = [
        'brighter' => 0.2,
        'up' => 0.2,
        'lighter' => 0.2,
        'dimmer' => -0.2,
        'darker' => -0.2,
        'down' => -0.2,
    ];

    /** Kelvin by which one word changes a white: assumed. */
    private const WARMER = ['warmer' => -500, 'cooler' => 500, 'colder' => 500];

    /** Kelvin of whites by their words. Common practice, no source. */
    private const WHITES = [
        'warm white' => 2700,
        'soft white' => 2700,
        'neutral white' => 4000,
        'cool white' => 6500,
        'cold white' => 6500,
        'daylight' => 6500,
        'candle' => 2000,
    ];

    private const COLOURS = [
        'deep red',
        'red',
        'orange',
        'amber',
        'yellow',
        'green',
        'turquoise',
        'cyan',
        'blue',
        'purple',
        'violet',
        'magenta',
        'pink',
        'white',
    ];

    private const TWICE = 'Two commands at once: say them one at a time.';

    /**
     * @param  list<array{string, float|int|string}>  $deeds  kind and value
     * @param  array<int, true>  $used  positions of words that ask for something, or only join others
     */
    private function __construct(private array $deeds, public array $used) {}

    /** @param  list<string>  $words */
    public static function in(array $words, SpokenNames $names): self
    {
        $deeds = [];
        $used = [];
        for ($n = 0; $n < count($words); $n += $size) {
            $size = 1;
            if (isset($names->taken[$n])) {
                continue;
            }
            [$deed, $size] = self::deed($words, $n);
            if ($deed !== null) {
                $deeds[] = $deed;
            }
            if ($deed !== null || self::joins($words[$n])) {
                $used += array_fill_keys(range($n, $n + $size - 1), true);
            }
        }

        return new self($deeds, $used);
    }

    /** @return list<string> every word that asks for something, or only joins others */
    public static function reserved(): array
    {
        return [
            ...self::JOINING,
            ...self::EVERYTHING,
            ...self::LEFT_OUT,
            ...self::PERCENT,
            'dim',
            'kelvin',
            'k',
            'cent',
            ...array_keys(self::LEVELS),
            ...array_keys(self::STEPS),
            ...array_keys(self::WARMER),
            ...explode(' ', implode(' ', [...self::COLOURS, ...array_keys(self::WHITES)])),
        ];
    }

    private static function joins(string $word): bool
    {
        return in_array($word, [...self::JOINING, ...self::EVERYTHING, ...self::LEFT_OUT], true);
    }

    /**
     * @param  list<string>  $words
     * @return array{array{string, float|int|string}|null, int} kind and value of a word, and the number of words used
     */
    private static function deed(array $words, int $n): array
    {
        $number = SpokenNumber::at($words, $n);
        if ($number !== null) {
            return self::number($words, $n, $number);
        }
        $two = $words[$n] . ' ' . ($words[$n + 1] ?? '');
        foreach ([[$two, 2], [$words[$n], 1]] as [$said, $size]) {
            $deed = match (true) {
                isset(self::WHITES[$said]) => ['kelvin', self::WHITES[$said]],
                in_array($said, self::COLOURS, true) => ['colour', $said],
                isset(self::LEVELS[$said]) => [$said === 'on' ? 'on' : 'level', self::LEVELS[$said]],
                $said === 'dim' => ['dim', self::DIMMED],
                isset(self::STEPS[$said]) => ['step', self::STEPS[$said]],
                isset(self::WARMER[$said]) => ['warmer', self::WARMER[$said]],
                default => null,
            };
            if ($deed !== null) {
                return [$deed, $size];
            }
        }

        return [null, 1];
    }

    /**
     * A level if percent follows or "to" or "at" precedes; a white if kelvin follows.
     *
     * @param  list<string>  $words
     * @return array{array{string, float|int}|null, int}
     */
    private static function number(array $words, int $n, SpokenNumber $number): array
    {
        $next = $words[$n + $number->size] ?? '';
        if (in_array($next, ['k', 'kelvin'], true)) {
            return [['kelvin', (int) $number->value], $number->size + 1];
        }
        if (in_array($next, self::PERCENT, true)) {
            return [['level', $number->value], $number->size + ($next === 'per' ? 2 : 1)];
        }

        return [in_array($words[$n - 1] ?? '', ['to', 'at'], true) ? ['level', $number->value] : null, $number->size];
    }

    /** Whether nothing is asked for. */
    public function none(): bool
    {
        return $this->deeds === [];
    }

    /** Why they do not go together; null where they do. */
    public function contradiction(): ?string
    {
        $levels = $this->values('level');
        foreach ($levels as $level) {
            if ($level > 100) {
                return sprintf('%g %% cannot be: 100 %% is full.', $level);
            }
        }
        $off = in_array(0.0, $levels, true) && ($this->values('on') !== [] || $this->values('colour') !== []);
        $several =
            count(array_unique($levels)) > 1 ||
            count(array_unique($this->values('colour'))) > 1 ||
            count(array_unique($this->values('kelvin'))) > 1 ||
            count(array_unique($this->values('step'))) > 1;
        $mixed = $this->values('step') !== [] && ($levels !== [] || $this->values('dim') !== []);
        $twice = $this->values('colour') !== [] && $this->values('kelvin') !== [];

        return $off || $several || $mixed || $twice ? self::TWICE : null;
    }

    /** @return list<float|int|string> values of a kind */
    private function values(string $kind): array
    {
        return array_column(array_filter($this->deeds, static fn(array $d): bool => $d[0] === $kind), 1);
    }

    /**
     * The same for some lights; without a contradiction.
     *
     * @param  list<string>  $lights
     */
    public function heard(array $lights): CommandMeaning
    {
        $first = fn(string $kind): float|int|string|null => $this->values($kind)[0] ?? null;
        $level = $first('level') ?? ($first('dim') ?? ($first('step') === null ? $first('on') : null));
        $kelvin = $first('kelvin');
        $step = $first('step');
        $warmer = $first('warmer');

        return new CommandMeaning(
            lights: $lights,
            level: $level === null ? null : (float) $level / 100,
            colour: (string) $first('colour'),
            kelvin: $kelvin === null ? null : (int) $kelvin,
            step: $step === null ? null : (float) $step,
            warmer: $warmer === null ? null : (int) $warmer,
        );
    }
}
