<?php

declare(strict_types=1);

namespace App\Screens;

/** Rows that the requesting page already has are left out; the order of all rows is sent. */
final readonly class KnownRows
{
    /** Rows by picture: each has its id and a content hash. */
    private const ROWS = ['wire' => 'runs', 'build' => 'steps'];

    /**
     * @param  array<string, mixed>  $desk  as in app/Screens/screen.json, $defs/desk
     * @param  array<string, string>  $known  hashes by id of the row
     * @return array<string, mixed>
     */
    public static function without(array $desk, array $known): array
    {
        if ($known !== []) {
            foreach (self::ROWS as $picture => $rows) {
                if (is_array($desk[$picture] ?? null) && is_array($desk[$picture][$rows] ?? null)) {
                    $desk[$picture][$rows] = array_values(
                        array_filter(
                            $desk[$picture][$rows],
                            static fn(mixed $r): bool => !is_array($r) ||
                                !is_string($r['id']) ||
                                ($known[$r['id']] ?? null) !== $r['hash'],
                        ),
                    );
                }
            }
        }

        return $desk;
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
