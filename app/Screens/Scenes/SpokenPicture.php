<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use EmberDusk\Control\Spoken;

/** What came of something that was said, as the screen shows it. */
final readonly class SpokenPicture
{
    /** @return array<string, mixed> as in app/Screens/Scenes/scenes.json, $defs/spoken */
    public static function of(Spoken $spoken): array
    {
        return [
            'words' => $spoken->words,
            'understood' => $spoken->heard->trouble === '',
            'answers' => $spoken->answers,
            'trouble' => $spoken->trouble,
            'note' => $spoken->note,
        ];
    }
}
