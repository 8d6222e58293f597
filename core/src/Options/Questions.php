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

    /** @return list<array{key: string, label: string, choices: list<array{value: string|float|int, text: string}>}> */
    public static function all(): array
    {
        $words = static fn(string $v): array => ['value' => $v, 'text' => self::WORDS[$v] ?? Facts::way($v)];

        return [
            [
                'key' => 'volts',
                'label' => 'Volts',
                'choices' => array_map(static fn(int $v): array => ['value' => $v, 'text' => "{$v} V"], self::VOLTS),
            ],
            ['key' => 'colour', 'label' => 'Colour', 'choices' => array_map($words, Requirement::COLOURS)],
            ['key' => 'light', 'label' => 'Light', 'choices' => array_map($words, Requirement::LIGHTS)],
            ['key' => 'control', 'label' => 'Control', 'choices' => array_map($words, Requirement::CONTROLS)],
            [
                'key' => 'controllers',
                'label' => 'Controllers',
                'choices' => [
                    ['value' => 0, 'text' => 'as many as needed'],
                    ...array_map(
                        static fn(int $n): array => ['value' => $n, 'text' => (string) $n],
                        range(1, self::CONTROLLERS),
                    ),
                ],
            ],
            ['key' => 'source', 'label' => 'From', 'choices' => array_map($words, Requirement::SOURCES)],
            [
                'key' => 'cap',
                'label' => 'Supply for',
                'choices' => array_map(
                    static fn(float|int $cap): array => [
                        'value' => $cap,
                        'text' => $cap === 1 ? 'all at full' : sprintf('a limit of %d %%', 100 * $cap),
                    ],
                    self::CAPS,
                ),
            ],
        ];
    }
}
