<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** Cuts wall notes into clauses (a line, or after `;`) of words; a comma right between digits is part of a number. */
final readonly class WallWords
{
    /** @return list<non-empty-list<Word>> clauses without empty ones; a remark after # is left out */
    public static function clauses(string $text): array
    {
        $clauses = [];
        $lines = preg_split('/\r\n|\r|\n/', $text);
        if ($lines !== false) {
            foreach ($lines as $n => $line) {
                $clause = [];
                preg_match_all(
                    '/#.*|;|(?<=\d),(?=\d)|,|(?:(?<=\d),(?=\d)|[^\s,;#])+/u',
                    $line,
                    $found,
                    PREG_OFFSET_CAPTURE,
                );
                foreach ($found[0] as [$word, $offset]) {
                    if ($word[0] === '#') {
                        continue;
                    }
                    if ($word === ';') {
                        $clauses[] = $clause;
                        $clause = [];

                        continue;
                    }
                    $clause[] = new Word($word, $n + 1, mb_strlen(substr($line, 0, $offset)));
                }
                $clauses[] = $clause;
            }
        }

        return array_values(array_filter($clauses, static fn(array $c): bool => $c !== []));
    }
}
