<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use EmberDusk\Circuit\Colour;
use EmberDusk\Control\AnswerBoard;
use EmberDusk\Control\Cell;
use EmberDusk\Control\NameClash;
use EmberDusk\Control\Names;
use EmberDusk\Control\RadioReach;
use EmberDusk\Job\JobState;
use EmberDusk\Joining\Unit;
use EmberDusk\Kit\Channel;
use EmberDusk\Plan\Answer;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Scene;
use EmberDusk\Values\Refusal;

/** The answer board, names as they are heard, and scenes with the light and the amps of each. */
final readonly class ScenesScreen
{
    /** @return array<string, mixed> as in app/Screens/Scenes/scenes.json, $defs/scenesPicture */
    public static function picture(JobState $state): array
    {
        $plan = $state->plan;
        $board = AnswerBoard::of($plan, $state->worked);

        return [
            'lights' => array_map(static fn(Unit $u): array => self::light($u, $plan), $board->lights),
            'controls' => array_map(
                static fn(Unit $u): array => [
                    'id' => $u->id,
                    'item' => $u->role === Unit::PHONE ? Answer::PHONE : $u->item,
                    'label' => $u->role === Unit::PHONE ? 'Phone' : $u->label(),
                    'name' => $u->role === Unit::PHONE ? 'by itself' : mb_strtolower($u->name),
                    'zones' => $u->zones,
                ],
                $board->controls,
            ),
            'cells' => array_values(
                array_map(
                    static fn(Cell $c): array => [
                        'control' => $c->control,
                        'light' => $c->light,
                        'state' => $c->state,
                        'zone' => $c->zone,
                        'why' => $c->why,
                        'decided' => $c->decided,
                    ],
                    $board->cells,
                ),
            ),
            'names' => array_map(
                static fn(NameClash $c): array => [
                    'light' => $c->light,
                    'title' => $c->title,
                    'detail' => $c->detail,
                    'instead' => $c->instead,
                ],
                Names::of($plan)->clashes(),
            ),
            'reach' => array_map(
                static fn(RadioReach $r): array => array_map(trim(...), $r->lines($board->roster)),
                RadioReach::of($board->roster),
            ),
            'scenes' => array_values(array_map(static fn(Scene $s): array => self::scene($s, $state), $plan->scenes)),
        ];
    }

    /** @return array<string, mixed> as in app/Screens/Scenes/scenes.json, $defs/boardLight */
    private static function light(Unit $unit, Plan $plan): array
    {
        $named = $plan->lights[$unit->id] ?? null;

        return [
            'id' => $unit->id,
            'item' => $unit->item,
            'label' => $unit->label(),
            'name' => $named->name ?? $unit->name,
            'room' => $named->room ?? $unit->room,
            'kind' => self::kind($unit->kind),
            'named' => $named !== null,
        ];
    }

    private static function kind(string $kind): string
    {
        return [
            'single' => 'one colour',
            'tunable' => 'tunable white',
            'rgb' => 'RGB',
            'rgbw' => 'RGBW',
            'rgbcct' => 'RGB and tunable white',
        ][$kind] ?? $kind;
    }

    /** @return array<string, mixed> as in app/Screens/Scenes/scenes.json, $defs/scenePicture */
    private static function scene(Scene $scene, JobState $state): array
    {
        $amps = $peak = [];
        foreach ($state->scenes[$scene->id] ?? [] as $result) {
            foreach ($result instanceof Refusal ? [] : $result->supplies as $id => $supply) {
                $amps[$id] = $supply->amps;
                $peak[$id] = $supply->peakAmps;
            }
        }

        return [
            'id' => $scene->id,
            'name' => $scene->name,
            'amps' => $amps === [] ? null : round(array_sum($amps), 2),
            'peak' => $peak === [] ? null : round(array_sum($peak), 2),
            'lights' => array_map(
                static fn(string $of, array $duties): array => [
                    'of' => $of,
                    'level' => max([0.0, ...$duties]),
                    'colour' => self::colour($state->plan, $of, $duties),
                ],
                array_keys($scene->levels),
                array_values($scene->levels),
            ),
        ];
    }

    /**
     * The colour that is seen, mixed of the channels' light.
     *
     * @param  list<float>  $duties
     */
    private static function colour(Plan $plan, string $of, array $duties): string
    {
        foreach ($plan->runs as $run) {
            $strip = $run->id === $of || $run->controller === $of ? $plan->strip($run->strip) : null;
            if ($strip === null || count($strip->channels) !== count($duties) || max([0.0, ...$duties]) <= 0.0) {
                continue;
            }

            return Colour::mix(
                array_map(static fn(Channel $c): Colour => Colour::ofHex($c->colour), $strip->channels),
                array_map(
                    static fn(Channel $c, float $duty): float => $c->wattsPerMetre * $duty,
                    $strip->channels,
                    $duties,
                ),
            )->hex();
        }

        return '#2c1a2f';
    }
}
