<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use EmberDusk\Control\AnswerBoard;
use EmberDusk\Control\Cell;
use EmberDusk\Control\NameClash;
use EmberDusk\Control\Names;
use EmberDusk\Control\WifiAdvice;
use EmberDusk\Job\JobState;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\Answer;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Show;

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
            'reach' => ReachPicture::of($plan, $board->roster),
            'wifi' => WifiAdvice::of($plan)->words(),
            'scenes' => SceneCards::of($state),
            'dims' => SceneCards::dims($state),
            'presets' => SceneCards::presets($state),
            'shows' => PlayPicture::shows($plan),
            'showKinds' => PlayPicture::options(Show::KINDS),
            'ways' => PlayPicture::options(Show::WAYS),
            'starts' => PlayPicture::starts($state),
            'power' => PlayPicture::power($plan, $board->lights),
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
}
