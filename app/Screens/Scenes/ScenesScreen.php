<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use EmberDusk\Control\ControlMatrix;
use EmberDusk\Control\NameClash;
use EmberDusk\Control\Names;
use EmberDusk\Control\WifiAdvice;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\Show;

/** The control matrix, names for voice control, and scenes with the light and the amps of each. */
final readonly class ScenesScreen
{
    public static function picture(JobState $state): ScenesPicture
    {
        $plan = $state->plan;
        $board = ControlMatrix::for($plan, $state->worked);

        return new ScenesPicture(
            ...[
                'names' => array_map(
                    static fn(NameClash $c): NameClashView => new NameClashView(
                        light: $c->light,
                        title: $c->title,
                        detail: $c->detail,
                        instead: $c->instead,
                    ),
                    Names::for($plan)->clashes(),
                ),
                'reach' => ReachPicture::for($plan, $board->roster),
                'wifi' => WifiAdvice::for($plan)->words(),
                'scenes' => SceneCards::for($state),
                'dims' => SceneCards::dims($state),
                'presets' => SceneCards::presets($state),
                'shows' => PlayPicture::shows($plan),
                'showKinds' => PlayPicture::options(Show::KINDS),
                'ways' => PlayPicture::options(Show::WAYS),
                'starts' => PlayPicture::starts($state),
                'power' => PlayPicture::power($plan, $board->lights),
            ] + BoardPicture::for($plan, $board),
        );
    }
}
