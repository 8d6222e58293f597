<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Circuit\Colour;
use EmberDusk\Kit\Channel;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Show;
use EmberDusk\Plan\ShowStep;
use EmberDusk\Values\Dice;

/**
 * A show as it runs: duties by light at any second, how long a round takes, how often it flashes. Colours by chance are drawn by a seed,
 * so that the same show is the same each time.
 */
final readonly class Running
{
    /** Colours of a pixel's channels. */
    private const PIXEL = ['#ff0000', '#00ff00', '#0000ff', '#ffffff'];

    /** A flash is a pair of opposing changes of a tenth of full light (WCAG 2.3.1). */
    private const CHANGE = 0.1;

    /** Colours that chance chooses from: full and well apart. */
    private const COLOURS = ['#ff3020', '#ff9020', '#ffe040', '#40d050', '#30c0d0', '#4060ff', '#c040e0'];

    /** Share of full at which lights follow sound when it is still, and how far it swings: assumed. */
    private const STILL = 0.25;

    public function __construct(private Plan $plan, private Show $show, private int $seed = 1) {}

    /** Seconds of one round; null for a round without a fixed length. */
    public function round(): ?float
    {
        return match ($this->show->kind) {
            Show::LIST => array_sum(
                array_map(static fn(ShowStep $s): float => $s->hold + $s->fade, $this->show->steps),
            ),
            Show::WASH => $this->show->every * max(1, count($this->path())),
            default => null,
        };
    }

    /** Seconds until it ends automatically; null where it goes on and on. */
    public function ends(): ?float
    {
        $round = $this->round();

        if ($round === null || $this->show->rounds === Show::ENDLESS) {
            return null;
        }

        return $round * $this->show->rounds;
    }

    /**
     * @param  float  $at  seconds from its start
     * @return array<string, list<float>> duties by light; after its end the last ones
     */
    public function at(float $at): array
    {
        $ends = $this->ends();
        $at = max(0.0, $ends === null ? $at : min($at, $ends - 1e-6));

        return match ($this->show->kind) {
            Show::LIST => $this->listed($at),
            Show::WASH => $this->washed($at),
            Show::RANDOM => $this->byChance($at),
            default => $this->heard($at),
        };
    }

    /** Flashes in the worst second (WCAG 2.3.1 counts pairs of opposing changes). */
    public function flashes(): float
    {
        if ($this->show->kind !== Show::LIST) {
            if ($this->show->kind === Show::SOUND) {
                return 0.0;
            }

            return 1 / (2 * $this->show->every);
        }
        $round = $this->round() ?? 0.0;
        $steps = $this->show->steps;
        if (count($steps) < 2 || $round <= 0.0) {
            return 0.0;
        }
        // Changes of light by their moment, over as many rounds as the worst second may hold.
        $changes = [];
        $now = 0.0;
        for ($lap = 0; $lap * $round < 1.0 + $round && count($changes) < 2000; $lap++) {
            foreach ($steps as $n => $step) {
                if ($this->changes($steps[($n + count($steps) - 1) % count($steps)]->scene, $step->scene)) {
                    $changes[] = $now;
                }
                $now += $step->fade + $step->hold;
            }
        }
        $most = 0;
        foreach ($changes as $n => $from) {
            $within = array_filter(
                array_slice($changes, $n, 200),
                static fn(float $c): bool => $c < $from + 1.0 - 1e-9,
            );
            $most = max($most, count($within));
        }

        return $most / 2;
    }

    /** Different colours that it shows. */
    public function colours(): int
    {
        return match ($this->show->kind) {
            Show::LIST => count(
                array_unique(array_map(static fn(ShowStep $s): string => $s->scene, $this->show->steps)),
            ),
            Show::RANDOM => count(self::COLOURS),
            Show::WASH => 2,
            default => 1,
        };
    }

    /** Description of the show, and whether it ends. */
    public function words(): string
    {
        $what =
            $this->show->kind === Show::LIST
                ? implode(
                    ', then ',
                    array_map(
                        fn(ShowStep $s): string => ($this->plan->scenes[$s->scene]->name ?? '') .
                            ' ' .
                            self::said($s->hold),
                        $this->show->steps,
                    ),
                )
                : 'every ' . self::said($this->show->every);
        $ends = $this->ends();

        return Show::KINDS[$this->show->kind] .
            ": {$what}; " .
            ($ends === null ? 'continues until something else starts' : 'ends after ' . self::said($ends));
    }

    /** Seconds as people say them. */
    private static function said(float $seconds): string
    {
        return match (true) {
            $seconds < 120 => round($seconds, 2) . ' s',
            $seconds < 7200 => round($seconds / 60) . ' min',
            default => round($seconds / 3600, 1) . ' h',
        };
    }

    /** @return list<string> lights that play a part in it */
    public function lights(): array
    {
        if ($this->show->kind !== Show::LIST) {
            return $this->show->lights;
        }
        $lights = [];
        foreach ($this->show->steps as $step) {
            $lights = [...$lights, ...array_map(strval(...), array_keys($this->levels($step->scene)))];
        }

        return array_values(array_unique($lights));
    }

    /** Whether a change of scene is half a flash: relative luminance changes by a tenth, or saturated red comes or goes. */
    private function changes(string $from, string $to): bool
    {
        if (abs($this->brightness($from) - $this->brightness($to)) >= self::CHANGE) {
            return true;
        }
        foreach ($this->lights() as $light) {
            $channels = $this->channels($light);
            $before = Luminance::from($channels, $this->levels($from)[$light] ?? []);
            $after = Luminance::from($channels, $this->levels($to)[$light] ?? []);
            if (
                abs($before->relative - $after->relative) >= self::CHANGE ||
                ($before->saturatedRed !== $after->saturatedRed && $before->apart($after) >= self::CHANGE)
            ) {
                return true;
            }
        }

        return false;
    }

    /** Mean share of full light of all lights in a scene. */
    private function brightness(string $scene): float
    {
        $levels = array_map(static fn(array $d): float => max([0.0, ...$d]), $this->levels($scene));
        if ($levels === []) {
            return 0.0;
        }

        return array_sum($levels) / max(1, count($this->lights()));
    }

    /** @return list<string> colours of a light's channels, #rrggbb */
    private function channels(string $light): array
    {
        foreach ($this->plan->runs as $run) {
            $strip = $this->plan->strip($run->strip);
            if ($strip !== null && ($run->controller === $light || $run->id === $light)) {
                return $strip->pixels === null
                    ? array_map(static fn(Channel $c): string => $c->colour, $strip->channels)
                    : array_slice(self::PIXEL, 0, $strip->pixels->colours);
            }
        }

        return [];
    }

    /** @return array<string, list<float>> */
    private function levels(string $scene): array
    {
        return $this->plan->scenes[$scene]->levels ?? [];
    }

    /** @return array<string, list<float>> */
    private function listed(float $at): array
    {
        $round = $this->round() ?? 0.0;
        $steps = $this->show->steps;
        if ($steps === []) {
            return [];
        }
        if ($round <= 0.0) {
            return $this->levels($steps[count($steps) - 1]->scene);
        }
        $within = fmod($at, $round);
        foreach ($steps as $n => $step) {
            $long = $step->fade + $step->hold;
            if ($within < $long || $n === count($steps) - 1) {
                $to = $this->levels($step->scene);
                $first = $n === 0 && $at < $round;
                $from = $first ? [] : $this->levels($steps[($n + count($steps) - 1) % count($steps)]->scene);

                if ($step->fade > 0 && $within < $step->fade) {
                    return self::between($from, $to, $within / $step->fade);
                }

                return $to;
            }
            $within -= $long;
        }

        return [];
    }

    /**
     * @param  array<string, list<float>>  $from
     * @param  array<string, list<float>>  $to
     * @return array<string, list<float>>
     */
    private static function between(array $from, array $to, float $share): array
    {
        $mixed = [];
        foreach ($from + $to as $of => $any) {
            foreach (array_keys($any) as $n) {
                $a = $from[$of][$n] ?? 0.0;
                $mixed[$of][$n] = $a + (($to[$of][$n] ?? 0.0) - $a) * $share;
            }
        }

        return array_map(array_values(...), $mixed);
    }

    /** @return list<string> the lights in the order in which the colour runs over them */
    private function path(): array
    {
        $lights = $this->show->lights;
        $back = array_reverse($lights);

        return match ($this->show->way) {
            'back' => $back,
            'both' => count($lights) > 2 ? [...$lights, ...array_slice($back, 1, -1)] : $lights,
            default => $lights,
        };
    }

    /** @return array<string, list<float>> */
    private function washed(float $at): array
    {
        $path = $this->path();
        $now = $path === [] ? '' : $path[(int) floor($at / $this->show->every + 1e-9) % count($path)];
        $duties = [];
        foreach ($this->show->lights as $light) {
            $duties[$light] = $this->coloured($light, $light === $now ? self::COLOURS[0] : self::COLOURS[5]);
        }

        return $duties;
    }

    /** @return array<string, list<float>> */
    private function byChance(float $at): array
    {
        $turn = (int) floor($at / $this->show->every + 1e-9);
        $duties = [];
        foreach ($this->show->lights as $n => $light) {
            // Followers show what their leader shows.
            $whose = $this->show->leader === '' ? $n : 0;
            $drawn = (new Dice($this->seed))->between(0, count(self::COLOURS) - 1e-9, "{$turn} {$whose}");
            $duties[$light] = $this->coloured($light, self::COLOURS[(int) $drawn]);
        }

        return $duties;
    }

    /** @return array<string, list<float>> */
    private function heard(float $at): array
    {
        $level = self::STILL + (1 - self::STILL) * abs(sin((M_PI * $at) / max(0.01, $this->show->every)));
        $duties = [];
        foreach ($this->show->lights as $light) {
            $duties[$light] = Mixing::for($this->plan, $light)?->plain($level)->duties ?? [$level];
        }

        return $duties;
    }

    /** @return list<float> */
    private function coloured(string $light, string $hex): array
    {
        return Mixing::for($this->plan, $light)?->colour(1.0, Colour::ofHex($hex))->duties ?? [1.0];
    }
}
