<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Kit\Facts;
use EmberDusk\Plan\Requirement;

/** Questions of an option, with the possible answers of a requirement. */
final readonly class Questions
{
    private const VOLTS = [12, 24, 5];

    /** Shares of full load that a supply may be sized for. */
    private const CAPS = [1, 0.8, 0.6, 0.4];

    private const CONTROLLERS = 4;

    private const WORDS = [
        'room' => 'main light',
        'mood' => 'accent light',
        'shelf' => 'the shelf',
        'owned' => 'client’s kit first',
        'set' => 'a ready-made set',
    ];

    /** @return list<OptionQuestion> */
    public static function all(): array
    {
        return [
            new OptionQuestion(
                'volts',
                'Volts',
                array_map(static fn(int $v): OptionChoice => new OptionChoice($v, "{$v} V"), self::VOLTS),
            ),
            self::ofWords('colour', 'Colour', Requirement::COLOURS),
            self::ofWords('light', 'Light', Requirement::LIGHTS),
            self::ofWords('control', 'Control', Requirement::CONTROLS),
            new OptionQuestion('controllers', 'Controllers', [
                new OptionChoice(0, 'as many as needed'),
                ...array_map(
                    static fn(int $n): OptionChoice => new OptionChoice($n, (string) $n),
                    range(1, self::CONTROLLERS),
                ),
            ]),
            self::ofWords('source', 'From', Requirement::SOURCES),
            new OptionQuestion(
                'cap',
                'Supply for',
                array_map(
                    static fn(float|int $cap): OptionChoice => new OptionChoice(
                        $cap,
                        $cap === 1 ? 'all at full' : sprintf('a limit of %d %%', 100 * $cap),
                    ),
                    self::CAPS,
                ),
            ),
        ];
    }

    /** @param  list<string>  $values */
    private static function ofWords(string $key, string $label, array $values): OptionQuestion
    {
        return new OptionQuestion(
            $key,
            $label,
            array_map(
                static fn(string $v): OptionChoice => new OptionChoice($v, self::WORDS[$v] ?? Facts::way($v)),
                $values,
            ),
        );
    }
}
