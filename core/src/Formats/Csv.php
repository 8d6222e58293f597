<?php

declare(strict_types=1);

namespace EmberDusk\Formats;

use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;

/**
 * CSV after RFC 4180: comma, quotes doubled, CRLF, UTF-8. Read are semicolons too, and any line end.
 *
 * A cell that a spreadsheet would take for a formula is written with an apostrophe before it, and one that comes in as
 * a formula is refused.
 */
final readonly class Csv
{
    public const MOST_ROWS = 10_000;

    /** Columns of the widest table, and letters of a column's name, that are read. */
    private const MOST_COLUMNS = 400;

    private const LONGEST_NAME = 200;

    private const LARGEST = 8_000_000;

    /**
     * @param  list<list<string>>  $rows
     */
    public static function write(array $rows): string
    {
        $file = fopen('php://temp', 'w+');
        if ($file === false) {
            throw new InvalidInput('No memory for the file.');
        }
        foreach ($rows as $row) {
            fputcsv($file, array_map(self::safe(...), $row), ',', '"', '', "\r\n");
        }
        rewind($file);

        return (string) stream_get_contents($file);
    }

    /**
     * Rows by line number, each with as many cells as the header.
     *
     * @return array{list<string>, array<int, list<string>>} header and rows
     *
     * @throws Refusal that says the line
     */
    public static function read(string $text): array
    {
        if (strlen($text) > self::LARGEST) {
            throw new InvalidInput(
                sprintf(
                    'The file has %.0f MB; at most %d MB are accepted.',
                    strlen($text) / 1e6,
                    intdiv(self::LARGEST, 1_000_000),
                ),
            );
        }
        $text = Utf8::bare($text);
        self::utf8($text);
        $lines = substr_count($text, "\n");
        if ($lines > self::MOST_ROWS + 1) {
            throw new InvalidInput(
                sprintf(
                    'The file has about %s rows; at most %s are accepted. Split it into several files.',
                    number_format($lines),
                    number_format(self::MOST_ROWS),
                ),
            );
        }
        $first = strtok($text, "\r\n");
        $delimiter = $first !== false && substr_count($first, ';') > substr_count($first, ',') ? ';' : ',';
        $file = fopen('php://temp', 'w+');
        if ($file === false) {
            throw new InvalidInput('No memory for the file.');
        }
        fwrite($file, strtr($text, ["\r\n" => "\n", "\r" => "\n"]));
        rewind($file);
        $header = null;
        $rows = [];
        for ($line = 1; ($cells = fgetcsv($file, null, $delimiter, '"', '')) !== false; $line++) {
            if ($cells === [null]) {
                continue;
            }
            $cells = array_map(static fn(?string $c): string => trim($c ?? ''), $cells);
            if ($header === null) {
                $header = self::header($cells);

                continue;
            }
            if (count($cells) !== count($header)) {
                throw InvalidInput::at(
                    "/{$line}",
                    sprintf(
                        'Line %d has %d cells, the header has %d. Is a quote or a separator missing?',
                        $line,
                        count($cells),
                        count($header),
                    ),
                );
            }
            $rows[$line] = array_map(
                static fn(int $n): string => self::plain($cells[$n], $line, $header[$n]),
                array_keys($cells),
            );
        }
        if ($header === null) {
            throw new InvalidInput('The file is empty: a header line was expected.');
        }

        return [$header, $rows];
    }

    /**
     * @param  list<string>  $cells
     * @return list<string>
     */
    private static function header(array $cells): array
    {
        if (count($cells) > self::MOST_COLUMNS) {
            throw InvalidInput::at(
                '/1',
                sprintf('Line 1 has %d columns; at most %d are accepted.', count($cells), self::MOST_COLUMNS),
            );
        }
        foreach ($cells as $cell) {
            if (mb_strlen($cell) > self::LONGEST_NAME) {
                throw InvalidInput::at(
                    '/1',
                    'Line 1: “' .
                        mb_substr($cell, 0, 30) .
                        ' …” is too long for the name of a column. Is a quote missing?',
                );
            }
        }

        return $cells;
    }

    private static function utf8(string $text): void
    {
        if (mb_check_encoding($text, 'UTF-8')) {
            return;
        }
        foreach (explode("\n", $text) as $n => $line) {
            if (!mb_check_encoding($line, 'UTF-8')) {
                throw InvalidInput::at(
                    '/' . ($n + 1),
                    'Line ' . ($n + 1) . ' is not UTF-8. Save the file again with the encoding UTF-8.',
                );
            }
        }
    }

    private static function safe(string $cell): string
    {
        if (self::formula($cell)) {
            return "'" . $cell;
        }

        return $cell;
    }

    private static function plain(string $cell, int $line, string $column): string
    {
        if (str_starts_with($cell, "'") && self::formula(substr($cell, 1))) {
            return substr($cell, 1);
        }
        if (self::formula($cell)) {
            throw InvalidInput::at(
                "/{$line}",
                "Line {$line}, {$column}: “" . mb_substr($cell, 0, 30) . '” is a formula. Put its value there instead.',
            );
        }

        return $cell;
    }

    /** Whether a spreadsheet would calculate it: it begins with = + - @ or a tab, and is not a number. */
    private static function formula(string $cell): bool
    {
        return preg_match('/^[=+\-@\t]/', $cell) === 1 && !is_numeric(str_replace(',', '.', $cell));
    }
}
