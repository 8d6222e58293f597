<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\Wire\DimmedRow;
use App\Screens\Wire\SceneRows;
use EmberDusk\Circuit\Colour;
use EmberDusk\Circuit\RunFigures;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Control\Mixing;
use EmberDusk\Control\Presets;
use EmberDusk\Job\JobState;
use EmberDusk\Kit\Strip;
use EmberDusk\Plan\LightNames;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Scene;

/** Scenes: what each light does in them, the ribbons as they will be seen, amps of each supply, and where they are kept. */
final readonly class SceneCards
{
    /** Places along a run that a small ribbon shows. */
    private const STOPS = 24;

    private function __construct(private JobState $state) {}

    /** @return list<ScenePicture> */
    public static function for(JobState $state): array
    {
        return (new self($state))->cards();
    }

    /** @return list<ScenePicture> */
    private function cards(): array
    {
        return array_values(array_map(fn(Scene $s): ScenePicture => $this->scene($s), $this->state->plan->scenes));
    }

    /** @return list<SceneDim> settable channels of a scene, as in $defs/sceneDim */
    public static function dims(JobState $state): array
    {
        return array_map(static function (DimmedRow $row) use ($state): SceneDim {
            $mixing = Mixing::for($state->plan, $row->id);

            return new SceneDim(
                id: $row->id,
                name: $state->plan->lights[$row->id]->name ?? $row->name,
                channels: $row->channels,
                white: $mixing?->whiteRange(),
                colours: $mixing?->colours() === true,
            );
        }, SceneRows::dimmed($state));
    }

    public static function presets(JobState $state): PresetPicture
    {
        $plan = $state->plan;
        $packed = Presets::for($plan);

        return new PresetPicture(
            kept: array_map(
                static fn(string $control, array $ids): PresetKeeper => new PresetKeeper(
                    control: $packed->roster->unit($control)->called(),
                    room: $packed->room[$control] === Presets::LIMITLESS ? null : $packed->room[$control],
                    scenes: self::names($plan, $ids),
                ),
                array_keys($packed->kept),
                array_values($packed->kept),
            ),
            left: self::names($plan, $packed->left),
        );
    }

    /**
     * @param  list<string>  $ids
     * @return list<string>
     */
    private static function names(Plan $plan, array $ids): array
    {
        return array_map(static fn(string $id): string => $plan->scenes[$id]->name, $ids);
    }

    private function scene(Scene $scene): ScenePicture
    {
        $supplies = $ribbons = [];
        foreach ($this->state->scenes[$scene->id] ?? [] as $run => $result) {
            $of = $this->state->plan->runs[$run] ?? null;
            if (!($result instanceof RunResult) || $of === null) {
                continue;
            }
            $ribbon = $this->ribbon($scene, $of, $result);
            $ribbons[] = $ribbon;
            foreach ($result->supplies as $id => $supply) {
                $supplies[$id] = new SceneSupply(
                    label: strtoupper((string) $id),
                    amps: round($supply->amps, 2),
                    peak: round($supply->peakAmps, 2),
                    lit: ($supplies[$id]->lit ?? false) || $ribbon->level > 0,
                );
            }
        }
        ksort($supplies, SORT_NATURAL);

        $amps = $supplies !== [] ? round(array_sum(array_column($supplies, 'amps')), 2) : null;

        return new ScenePicture(
            id: $scene->id,
            name: $scene->name,
            fade: $scene->fade,
            amps: $amps,
            supplies: array_values(array_filter($supplies, static fn(SceneSupply $s): bool => $s->lit)),
            standby: round(
                array_sum(array_map(static fn(SceneSupply $s): float => $s->lit ? 0.0 : $s->amps, $supplies)),
                2,
            ),
            ribbons: $ribbons,
            lights: array_map(
                fn(string $of, array $duties): SceneLight => $this->light($of, $duties),
                array_keys($scene->levels),
                array_values($scene->levels),
            ),
        );
    }

    /** @param  list<float>  $duties */
    private function light(string $of, array $duties): SceneLight
    {
        $mixing = Mixing::for($this->state->plan, $of);

        return new SceneLight(
            of: $of,
            name: (new LightNames($this->state->plan))->of($of),
            duties: $duties,
            level: $mixing?->level($duties) ?? max([0.0, ...$duties]),
            colour: $mixing?->seen($duties)->hex() ?? '',
        );
    }

    private function ribbon(Scene $scene, Run $run, RunResult $result): SceneRibbon
    {
        $strip = $this->state->plan->strip($run->strip);
        $of = $strip?->switched() === false ? $run->id : (string) $run->controller;
        $mixing = Mixing::for($this->state->plan, $of);
        $lit = array_filter(
            $scene->levels,
            fn(array $duties, string $light): bool => array_sum($duties) > 0.0 &&
                ($light === $of || ($this->state->plan->segments[$light]->run ?? null) === $of),
            ARRAY_FILTER_USE_BOTH,
        );
        $level = max([
            0.0,
            ...array_map(static fn(array $d): float => $mixing?->level($d) ?? max([0.0, ...$d]), array_values($lit)),
        ]);
        $seen = $strip !== null && $lit !== [] ? $this->seen($scene, $run, $result, $strip, $mixing) : [];

        return new SceneRibbon(
            run: $run->id,
            name: $run->name(),
            metres: round($this->state->plan->of($run)->cutMarks()?->length() ?? $run->length(), 3),
            level: $level,
            seen: $seen,
        );
    }

    /**
     * The colours along a run, each at its lightness compared with full light: a tenth of the light is not a tenth of a colour.
     *
     * @return list<string>
     */
    private function seen(Scene $scene, Run $run, RunResult $result, Strip $strip, ?Mixing $mixing): array
    {
        $each = max(1, $strip->pixels->pixels ?? 1);
        $seen = (new RunFigures($result))->seen($strip);
        $count = min(self::STOPS, count($seen));
        $colours = [];
        for ($n = 0; $n < $count; $n++) {
            $group = (int) round(($n * (count($seen) - 1)) / max(1, $count - 1));
            // Pixels are solved at their volts; their light is that times the scene's duty.
            $pixels = !$strip->switched();
            $duties = $pixels ? $scene->ofPixel($this->state->plan, $run->id, $group * $each + 1) : [];
            $light = $result->light[$group] * ($pixels ? max([0.0, ...$duties]) : 1.0);
            $colour = $pixels ? $mixing?->seen($duties) : $seen[$group];
            $colours[] = $colour === null || $colour->y <= 0 ? '#000000' : $colour->hex(Colour::lightness($light));
        }

        return $colours;
    }
}
