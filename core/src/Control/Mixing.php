<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Circuit\Colour;
use EmberDusk\Circuit\White;
use EmberDusk\Kit\Channel;
use EmberDusk\Kit\Strip;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\InvalidInput;

/**
 * Duties of a light's channels for a level, a colour or a white. White channels do as much as possible (more light per watt), colours the rest; two
 * whites are mixed to the nearest mix.
 */
final readonly class Mixing
{
    /** Steps between two whites. */
    private const STEPS = 500;

    /** Whites that colours are asked for, in kelvin. Common practice, no source. */
    private const WARM = 2200;

    private const COOL = 6500;

    /** Mixes farther off than this in u'v' are reported: three times the visible step. */
    private const TOLD = 3 * Colour::STEP;

    /** Colour in which lamps under a dimming module are drawn: their own is not known. */
    private const LAMP = '#fff1dd';

    /** A channel is a white where its colour is this near to that of a white of its temperature (u'v'). */
    private const WHITISH = 0.03;

    /**
     * @param  list<Channel>  $channels
     * @param  bool  $shared  whether their duties add to 1 at full
     */
    private function __construct(private array $channels, private bool $shared, private string $curve) {}

    /** For a controller, a dimming module, a pixel run or a segment of one; null if its channels are unknown. */
    public static function for(Plan $plan, string $light): ?self
    {
        $channels = isset($plan->modules[$light])
            ? [new Channel('level', 1.0, self::LAMP)]
            : self::strip($plan, $light)?->channels;
        if ($channels === null) {
            return null;
        }

        return new self(
            $channels,
            $plan->controller($light)?->sharesChannels === true,
            Curve::for($plan->tunings[$light] ?? null),
        );
    }

    private static function strip(Plan $plan, string $light): ?Strip
    {
        $light = $plan->segments[$light]->run ?? $light;
        foreach ($plan->runs as $run) {
            if ($run->id === $light || $run->controller === $light) {
                $strip = $plan->strip($run->strip);
                if ($strip !== null) {
                    return $strip;
                }
            }
        }

        return null;
    }

    /** All its channels in equal parts, at a level. */
    public function plain(float $level): MixedLight
    {
        $duty = Curve::duty($this->curve, $level) / ($this->shared ? count($this->channels) : 1);

        return $this->mixed(array_fill(0, count($this->channels), $duty), '');
    }

    /**
     * The mix that it has, at another level.
     *
     * @param  list<float>  $duties
     */
    public function like(float $level, array $duties): MixedLight
    {
        $mine = array_map(static fn(int $c): float => $duties[$c] ?? 0.0, array_keys($this->channels));

        if (array_sum($mine) > 0.0) {
            return $this->scaled($mine, $level, '');
        }

        return $this->plain($level);
    }

    /** @throws \EmberDusk\Values\Refusal where its temperature is outside the calculated range */
    public function white(float $level, float $kelvin): MixedLight
    {
        $whites = $this->whites();
        $wanted = White::colour($kelvin);
        if ($whites === []) {
            if (count($this->channels) < 3) {
                return $this->told($level, 'Its colour is fixed: it is dimmed only.');
            }

            return $this->colour($level, $wanted);
        }
        if (count($whites) === 1 && count($this->channels) > 3) {
            return $this->colour($level, $wanted);
        }
        $mix = $this->between($whites, $wanted);
        if (count($whites) === 1) {
            return $this->told($level, 'Its white is fixed: it is dimmed only.');
        }
        $range = $this->whiteRange() ?? new WhiteRange(self::WARM, self::COOL);

        return $this->scaled(
            $mix,
            $level,
            $kelvin < $range->least - 50 || $kelvin > $range->most + 50
                ? "Its white goes from {$range->least} to {$range->most} K."
                : '',
        );
    }

    public function colour(float $level, Colour $wanted): MixedLight
    {
        $colours = array_values(array_diff(array_keys($this->channels), $this->whites()));
        if (count($colours) < 3) {
            return $this->told($level, 'It has no colours: it is dimmed only.');
        }
        $primaries = new Primaries($this->light($colours[0]), $this->light($colours[1]), $this->light($colours[2]));
        $share = $primaries->shares($wanted);
        $duties = array_fill(0, count($this->channels), 0.0);
        foreach (array_slice($colours, 0, 3) as $n => $c) {
            $duties[$c] = max(0.0, $share[$n]);
        }
        $duties = array_values($duties);
        $whites = $this->whites();
        if ($whites !== []) {
            $duties = $this->whitened(
                $duties,
                array_slice($colours, 0, 3),
                $primaries,
                $this->between($whites, $wanted),
            );
        }
        $mixed = $this->scaled($duties, $level, '');

        if ($mixed->seen->apart($wanted) > self::TOLD && $level > 0) {
            return $this->scaled($duties, $level, 'Its channels cannot match it exactly: the nearest colour is shown.');
        }

        return $mixed;
    }

    /**
     * The level at which an app shows these duties.
     *
     * @param  list<float>  $duties
     */
    public function level(array $duties): float
    {
        return Curve::level($this->curve, min(1.0, $this->shared ? array_sum($duties) : max([0.0, ...$duties])));
    }

    /**
     * The colour of these duties.
     *
     * @param  list<float>  $duties
     */
    public function seen(array $duties): Colour
    {
        return Colour::mix(
            array_map($this->light(...), array_keys($this->channels)),
            array_map(static fn(int $c): float => $duties[$c] ?? 0.0, array_keys($this->channels)),
        );
    }

    /** Kelvin between which its white can be set; null where it cannot. */
    public function whiteRange(): ?WhiteRange
    {
        $whites = $this->whites();
        if (count($whites) > 1) {
            $ends = array_map(fn(int $c): float => White::kelvin(Colour::ofHex($this->channels[$c]->colour)), $whites);

            return new WhiteRange((int) round(min($ends), -2), (int) round(max($ends), -2));
        }

        return $this->colours() ? new WhiteRange(self::WARM, self::COOL) : null;
    }

    public function colours(): bool
    {
        return count($this->channels) - count($this->whites()) >= 3;
    }

    /** @return list<string> names of its channels */
    public function names(): array
    {
        return array_map(static fn(Channel $c): string => $c->name, $this->channels);
    }

    /**
     * White replaces the amount of each colour that the scarcest of them contributes to an equal white.
     *
     * @param  list<float>  $duties
     * @param  list<int>  $colours
     * @param  list<float>  $white  duties of the whites alone
     * @return list<float>
     */
    private function whitened(array $duties, array $colours, Primaries $primaries, array $white): array
    {
        // Colour channel values that look like the white.
        $as = $primaries->shares($this->seen($white));
        $most = INF;
        foreach ($colours as $n => $c) {
            if ($as[$n] > 1e-9) {
                $most = min($most, $duties[$c] / $as[$n]);
            }
        }
        if ($most === INF || $most <= 0.0) {
            return $duties;
        }
        foreach ($colours as $n => $c) {
            $duties[$c] = max(0.0, $duties[$c] - $most * $as[$n]);
        }

        return array_map(static fn(float $d, float $w): float => $d + $most * $w, $duties, $white);
    }

    /**
     * The mix of these whites that is nearest, as duties of all channels with the greatest at 1.
     *
     * @param  non-empty-list<int>  $whites
     * @return list<float>
     */
    private function between(array $whites, Colour $wanted): array
    {
        $best = [INF, []];
        $last = $whites[count($whites) - 1];
        for ($n = 0; $n <= (count($whites) > 1 ? self::STEPS : 0); $n++) {
            $duties = array_fill(0, count($this->channels), 0.0);
            $share = (float) $n / self::STEPS;
            $duties[$whites[0]] = 1.0 - $share;
            $duties[$last] += count($whites) > 1 ? $share : 0.0;
            $duties = array_values($duties);
            $far = $this->seen($duties)->apart($wanted);
            if ($far < $best[0]) {
                $best = [$far, $duties];
            }
        }

        return $best[1];
    }

    /** @return list<int> channels that are white */
    private function whites(): array
    {
        return array_values(
            array_filter(array_keys($this->channels), function (int $c): bool {
                $colour = Colour::ofHex($this->channels[$c]->colour);
                $kelvin = White::kelvin($colour);

                return $kelvin >= White::LEAST &&
                    $kelvin <= White::MOST &&
                    $colour->apart(White::colour($kelvin)) < self::WHITISH;
            }),
        );
    }

    private function told(float $level, string $note): MixedLight
    {
        return new MixedLight($this->plain($level)->duties, $this->plain($level)->seen, $note);
    }

    /**
     * @param  list<float>  $duties  in their ratio
     */
    private function scaled(array $duties, float $level, string $note): MixedLight
    {
        $most = $this->shared ? array_sum($duties) : max([0.0, ...$duties]);
        if ($most <= 0.0) {
            throw new InvalidInput('No channel of this light can show that.');
        }
        $by = Curve::duty($this->curve, $level) / $most;

        return $this->mixed(array_map(static fn(float $d): float => $d * $by, $duties), $note);
    }

    /** @param  list<float>  $duties */
    private function mixed(array $duties, string $note): MixedLight
    {
        $duties = array_map(static fn(float $d): float => round(min(1.0, $d), 4), $duties);

        return new MixedLight($duties, $this->seen($duties), $note);
    }

    /** A channel at full: light in proportion to its watts. */
    private function light(int $c): Colour
    {
        return Colour::mix([Colour::ofHex($this->channels[$c]->colour)], [$this->channels[$c]->wattsPerMetre]);
    }
}
