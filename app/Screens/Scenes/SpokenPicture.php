<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use EmberDusk\Control\CommandResult;

/** Result of a voice command on the screen. */
final readonly class SpokenPicture
{
    public static function for(CommandResult $spoken): SpokenCommand
    {
        return new SpokenCommand(
            words: $spoken->words,
            understood: $spoken->heard->trouble === '',
            answers: $spoken->answers,
            trouble: $spoken->trouble,
            note: $spoken->note,
        );
    }
}
