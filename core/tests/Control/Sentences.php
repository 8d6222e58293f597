<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Control;

/**
 * Voice commands to a job with lights, rooms and scenes, and their meaning: written before the code. A refusal is checked by a part of its reason.
 */
final readonly class Sentences
{
    public const LIGHTS = [
        'c1' => 'Bar',
        'c2' => 'Snug left',
        'c3' => 'Red shelf',
        'c4' => 'Beam',
        'c5' => 'Dome',
        'c6' => 'Cove',
        'c7' => 'Loop',
        'c8' => 'Porch',
    ];

    public const ROOMS = [
        'Lounge' => ['c1', 'c4'],
        'Snug' => ['c2', 'c3'],
        'Hall' => ['c5', 'c6'],
        'Garden' => ['c7', 'c8'],
    ];

    public const SCENES = ['talk' => 'Talk', 'night' => 'Night sky', 'w1' => 'Open evening'];

    private const ALL = ['c1', 'c2', 'c3', 'c4', 'c5', 'c6', 'c7', 'c8'];

    /** @return array<string, array{lights: list<string>, level?: float, colour?: string, kelvin?: int, step?: float, warmer?: int}> */
    public static function understood(): array
    {
        return [
            'bar on' => ['lights' => ['c1'], 'level' => 1.0],
            'Please turn the bar off, thank you' => ['lights' => ['c1'], 'level' => 0.0],
            'dim the bar to thirty' => ['lights' => ['c1'], 'level' => 0.3],
            'dim the cove' => ['lights' => ['c6'], 'level' => 0.3],
            'dim the dome' => ['lights' => ['c5'], 'level' => 0.3],
            'set snug left to twenty five percent' => ['lights' => ['c2'], 'level' => 0.25],
            'bar 5%' => ['lights' => ['c1'], 'level' => 0.05],
            'beam at 100 percent' => ['lights' => ['c4'], 'level' => 1.0],
            'beam to a hundred percent' => ['lights' => ['c4'], 'level' => 1.0],
            'beam to seventeen per cent' => ['lights' => ['c4'], 'level' => 0.17],
            'beam to 12.5 %' => ['lights' => ['c4'], 'level' => 0.125],
            'lounge lights to half' => ['lights' => ['c1', 'c4'], 'level' => 0.5],
            'switch the snug off' => ['lights' => ['c2', 'c3'], 'level' => 0.0],
            'turn the bar and the beam on' => ['lights' => ['c1', 'c4'], 'level' => 1.0],
            'turn on the bar, the beam and the porch' => ['lights' => ['c1', 'c4', 'c8'], 'level' => 1.0],
            'everything off' => ['lights' => self::ALL, 'level' => 0.0],
            'all lights on' => ['lights' => self::ALL, 'level' => 1.0],
            'turn all the lights off' => ['lights' => self::ALL, 'level' => 0.0],
            'lights out' => ['lights' => self::ALL, 'level' => 0.0],
            'all but the bar, 30 %' => ['lights' => ['c2', 'c3', 'c4', 'c5', 'c6', 'c7', 'c8'], 'level' => 0.3],
            'everything but the loop off' => ['lights' => ['c1', 'c2', 'c3', 'c4', 'c5', 'c6', 'c8'], 'level' => 0.0],
            'everything off but the loop' => ['lights' => ['c1', 'c2', 'c3', 'c4', 'c5', 'c6', 'c8'], 'level' => 0.0],
            'everything except the lounge off' => ['lights' => ['c2', 'c3', 'c5', 'c6', 'c7', 'c8'], 'level' => 0.0],
            'lounge without the beam to 10 percent' => ['lights' => ['c1'], 'level' => 0.1],
            'make the beam deep red' => ['lights' => ['c4'], 'colour' => 'deep red'],
            'red shelf on' => ['lights' => ['c3'], 'level' => 1.0],
            'red shelf blue' => ['lights' => ['c3'], 'colour' => 'blue'],
            'beam red at 20 percent' => ['lights' => ['c4'], 'level' => 0.2, 'colour' => 'red'],
            'set the beam to red at 20 percent' => ['lights' => ['c4'], 'level' => 0.2, 'colour' => 'red'],
            'twenty percent red in the loop' => ['lights' => ['c7'], 'level' => 0.2, 'colour' => 'red'],
            'warm white in the lounge' => ['lights' => ['c1', 'c4'], 'kelvin' => 2700],
            'cove to daylight' => ['lights' => ['c6'], 'kelvin' => 6500],
            'beam to 4000 kelvin' => ['lights' => ['c4'], 'kelvin' => 4000],
            'beam 3000 K at 40 percent' => ['lights' => ['c4'], 'level' => 0.4, 'kelvin' => 3000],
            'snug lift on' => ['lights' => ['c2'], 'level' => 1.0],
            'make the cove brighter' => ['lights' => ['c6'], 'step' => 0.2],
            'brighter in the hall' => ['lights' => ['c5', 'c6'], 'step' => 0.2],
            'turn the loop up' => ['lights' => ['c7'], 'step' => 0.2],
            'turn down the loop' => ['lights' => ['c7'], 'step' => -0.2],
            'cove dimmer please' => ['lights' => ['c6'], 'step' => -0.2],
            'make the cove warmer' => ['lights' => ['c6'], 'warmer' => -500],
            'cooler in the lounge' => ['lights' => ['c1', 'c4'], 'warmer' => 500],
            'could you turn on the porch' => ['lights' => ['c8'], 'level' => 1.0],
            'I would like the dome at half' => ['lights' => ['c5'], 'level' => 0.5],
            'porch fully on' => ['lights' => ['c8'], 'level' => 1.0],
            'turn the porch on to 60 percent' => ['lights' => ['c8'], 'level' => 0.6],
            'turn off the garden and the hall' => ['lights' => ['c5', 'c6', 'c7', 'c8'], 'level' => 0.0],
            'candle in the cove' => ['lights' => ['c6'], 'kelvin' => 2000],
        ];
    }

    /** @return array<string, string> scene or show by sentence */
    public static function scenes(): array
    {
        return [
            'Night sky' => 'night',
            'start the night sky scene please' => 'night',
            'set scene night sky' => 'night',
            'play open evening' => 'w1',
            'start the show open evening' => 'w1',
            'turn on talk' => 'talk',
            'switch to the scene talk' => 'talk',
        ];
    }

    /** @return array<string, string> part of the reason by sentence */
    public static function refused(): array
    {
        return [
            '' => 'The command is empty',
            '?!?' => 'The command is empty',
            'cellar on' => 'The nearest is',
            'bar' => 'What shall Bar do?',
            'all but the cellar off' => 'called “cellar”',
            '月 on' => 'called “月”',
            'turn it on' => 'called “it”',
            'beam 250 percent' => '250 %',
            'bar to a hundred and twenty percent' => '120 %',
            'do not turn the bar off' => 'not what it should not do',
            'don’t turn the bar off' => 'not what it should not do',
            'never turn the bar off' => 'not what it should not do',
            'bar not off' => 'not what it should not do',
            'dim the bar by ten percent' => 'level itself',
            'bar minus ten' => 'level itself',
            'bar -10 %' => 'level itself',
            'porch on and bar off' => 'one at a time',
            'all to 50 but the bar to 20' => 'one at a time',
            'bar red and beam blue' => 'one at a time',
            'bar off at 20 percent' => 'one at a time',
            'bar on in ten minutes' => 'Delays are not understood',
            'turn the porch off at eight o’clock' => 'Delays are not understood',
            'turn the porch on tomorrow' => 'Delays are not understood',
            'porch on for five minutes' => 'Delays are not understood',
            'porch off unless somebody is there' => 'Conditions are not understood',
            'if it rains turn the porch off' => 'Conditions are not understood',
            'porch on when the sun sets' => 'Conditions are not understood',
            'turn on the bar and the kettle' => 'called “kettle”',
            'bar on quickly with feeling' => 'quickly',
            'is the bar on' => 'Questions are not understood',
            'what is the level of the bar' => 'Questions are not understood',
            'dim to 30' => 'Which light?',
            'on' => 'Which light?',
        ];
    }
}
