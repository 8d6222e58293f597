<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Csv;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;

/** A shelf as CSV: kind, id, name, then a column for each field of the kinds that are in it. */
final readonly class ShelfCsv
{
    /** @param  iterable<array<array-key, mixed>>  $entries  as written */
    public static function write(iterable $entries): string
    {
        $columns = array_fill_keys(EntryCells::HEAD, true);
        $rows = [];
        foreach ($entries as $entry) {
            $rows[] = $cells = EntryCells::from($entry);
            $columns += array_fill_keys(array_keys($cells), true);
        }
        $header = array_map(strval(...), array_keys($columns));

        return Csv::write([
            $header,
            ...array_map(
                static fn(array $cells): array => array_map(static fn(string $c): string => $cells[$c] ?? '', $header),
                $rows,
            ),
        ]);
    }

    /**
     * @return array<string, array<string, mixed>> entries as written, by id, each checked
     *
     * @throws Refusal that says line and column
     */
    public static function read(string $text): array
    {
        [$header, $rows] = Csv::read($text);
        self::columns($header);
        $entries = [];
        foreach ($rows as $line => $cells) {
            try {
                $cells = array_combine($header, $cells);
                $id = $cells['id'];
                $entry = EntryCells::read($cells);
            } catch (Refusal $t) {
                throw InvalidInput::at(
                    "/{$line}",
                    "Line {$line}, " . (ltrim($t->pointer, '/') ?: 'entry') . ": {$t->getMessage()}",
                );
            }
            if (isset($entries[$id])) {
                throw InvalidInput::at("/{$line}", "Line {$line}, id: “{$id}” is in the file twice.");
            }
            $entries[$id] = $entry;
        }

        return $entries;
    }

    /** @param  list<string>  $header */
    private static function columns(array $header): void
    {
        $known = EntryCells::HEAD;
        foreach (Kinds::all() as $kind) {
            array_push($known, ...array_map(strval(...), array_keys($kind->fields)));
        }
        foreach ($header as $column) {
            if (!in_array($column, $known, true)) {
                $near = array_filter(
                    array_unique($known),
                    static fn(string $k): bool => levenshtein(mb_strtolower($column), mb_strtolower($k)) <= 2,
                );
                throw InvalidInput::at(
                    '/1',
                    "Line 1: “{$column}” is no column of a shelf." .
                        ($near === [] ? ' Export the shelf to see them.' : ' Meant ' . reset($near) . '?'),
                );
            }
        }
        foreach (EntryCells::HEAD as $column) {
            if (!in_array($column, $header, true)) {
                throw InvalidInput::at('/1', "Line 1: the column “{$column}” is missing.");
            }
        }
        if (count(array_unique($header)) !== count($header)) {
            throw InvalidInput::at('/1', 'Line 1: a column is there twice.');
        }
    }
}
