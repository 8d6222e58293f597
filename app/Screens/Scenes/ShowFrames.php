<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use EmberDusk\Circuit\Colour;
use EmberDusk\Control\Mixing;
use EmberDusk\Control\Running;
use EmberDusk\Plan\LightNames;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Show;

/** A show as pictures one after another, in the colours that will be seen. */
final readonly class ShowFrames
{
    private const COUNT = 120;

    /** Seconds shown of a show without an end, and at most. */
    private const SHOWN = 60.0;

    public static function for(Plan $plan, Show $show): Frames
    {
        $running = new Running($plan, $show);
        $lights = $running->lights();
        $long = min(self::SHOWN, max(1.0, $running->ends() ?? 2 * ($running->round() ?? 10 * $show->every)));
        $frames = [];
        for ($n = 0; $n < self::COUNT; $n++) {
            $at = ($n * $long) / self::COUNT;
            $now = $running->at($at);
            $frames[] = new Frame(
                at: round($at, 3),
                colours: array_map(
                    static fn(string $l): string => self::colour(Mixing::for($plan, $l), $now[$l] ?? []),
                    $lights,
                ),
            );
        }

        return new Frames(lights: array_map((new LightNames($plan))->of(...), $lights), frames: $frames);
    }

    /** @param  list<float>  $duties */
    private static function colour(?Mixing $mixing, array $duties): string
    {
        $most = max([0.0, ...$duties]);

        if ($mixing === null || $most <= 0.0) {
            return '#000000';
        }

        return $mixing->seen($duties)->hex(Colour::lightness($most));
    }
}
