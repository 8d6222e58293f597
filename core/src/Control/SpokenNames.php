<?php

declare(strict_types=1);

namespace EmberDusk\Control;

/** Names of lights and rooms in the words of a sentence: letter by letter, or as they sound. */
final readonly class SpokenNames
{
    /**
     * @param  array<int, list<string>>  $at  lights by the position of the first word of their name
     * @param  array<int, true>  $taken  positions of words that are part of a name
     */
    private function __construct(public array $at, public array $taken) {}

    /**
     * The longest names first, letter by letter before what only sounds alike, each word once. Words that ask for something
     * are never taken for a name by their sound alone.
     *
     * @param  list<string>  $words
     * @param  callable(string): bool  $reserved  whether a word asks for something, or only joins others
     * @param  callable(string): string  $plain a name as spoken
     */
    public static function in(array $words, Vocabulary $vocabulary, callable $reserved, callable $plain): self
    {
        $at = [];
        $taken = [];
        foreach (self::places($words, self::names($vocabulary, $plain), $reserved) as $place) {
            $span = range($place->at, $place->at + $place->words - 1);
            if (array_filter($span, static fn(int $n): bool => isset($taken[$n])) === []) {
                $taken += array_fill_keys($span, true);
                $at[$place->at] = $place->lights;
            }
        }

        return new self($at, $taken);
    }

    /**
     * @param  callable(string): string  $plain
     * @return list<array{string, list<string>}> name and lights
     */
    private static function names(Vocabulary $vocabulary, callable $plain): array
    {
        $names = [];
        foreach ($vocabulary->lights as $id => $name) {
            $names[] = [$plain($name), [(string) $id]];
        }
        foreach ($vocabulary->rooms as $room => $ids) {
            $names[] = [$plain((string) $room), array_map(strval(...), $ids)];
        }

        return $names;
    }

    /**
     * Position of a name, or of a similar sounding word, in the command.
     *
     * @param  list<string>  $words
     * @param  list<array{string, list<string>}>  $names
     * @param  callable(string): bool  $reserved
     * @return list<SpokenPlace> the longest first, and of those the exact ones
     */
    private static function places(array $words, array $names, callable $reserved): array
    {
        $places = [];
        foreach ($names as [$name, $ids]) {
            $size = substr_count($name, ' ') + 1;
            for ($n = 0; $name !== '' && $n + $size <= count($words); $n++) {
                $span = array_slice($words, $n, $size);
                $said = implode(' ', $span);
                $own = array_filter($span, static fn(string $w): bool => !$reserved($w)) !== [];
                if ($said === $name || ($own && Sound::same($said, $name))) {
                    $places[] = new SpokenPlace($n, $size, $said === $name, $ids);
                }
            }
        }
        usort(
            $places,
            static fn(SpokenPlace $a, SpokenPlace $b): int => [$b->words, $b->exact] <=> [$a->words, $a->exact],
        );

        return $places;
    }
}
