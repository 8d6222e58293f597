<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use EmberDusk\Control\CommandResult;

/** Result of a voice command on the screen. */
final readonly class SpokenPicture
{
    /** @return array<string, mixed> as in app/Screens/Scenes/scenes.json, $defs/spoken */
    public static function for(CommandResult $spoken): array
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
