<?php

declare(strict_types=1);

namespace App\Screens;

/** Rows that the requesting page already has are left out; the order of all rows is sent. */
final readonly class KnownRows
{
    /**
     * Rows that the page lacks.
     *
     * @template T of KeyedRow
     *
     * @param  list<T>  $rows
     * @param  array<string, string>  $known  hashes by id of the row
     * @return list<T>
     */
    public static function lacking(array $rows, array $known): array
    {
        return array_values(
            array_filter($rows, static fn(KeyedRow $r): bool => ($known[$r->key()] ?? null) !== $r->hash()),
        );
    }

    /**
     * @param  string  $text  id:hash, parted by spaces
     * @return array<string, string>
     */
    public static function read(string $text): array
    {
        $known = [];
        foreach (explode(' ', $text) as $one) {
            [$id, $hash] = explode(':', $one . ':');
            $known[$id] = $hash;
        }

        return array_filter($known, static fn(string $hash): bool => $hash !== '');
    }
}
