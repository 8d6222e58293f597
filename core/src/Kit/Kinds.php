<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/** All kinds of kit, from core/data/kinds.json: adding one is a paragraph there. Each is read once, when it is asked for. */
final class Kinds
{
    /** @var array<string, Fields>|null */
    private static ?array $written = null;

    /** @var array<string, Kind> */
    private static array $kinds = [];

    /** @return array<string, Kind> */
    public static function all(): array
    {
        $all = [];
        foreach (array_keys(self::written()) as $kind) {
            $all[$kind] = self::of($kind);
        }

        return array_filter($all);
    }

    public static function of(string $kind): ?Kind
    {
        $written = self::$kinds[$kind] ?? (self::written()[$kind] ?? null);

        if ($written instanceof Fields) {
            return self::$kinds[$kind] = Kind::read($written);
        }

        return $written;
    }

    /** Limit of an entry: what it gives, else the safe figure of its kind; null where there is none. */
    public static function limit(string $kind, string $key, Fields $entry): ?float
    {
        return $entry->numberOrNull($key) ?? self::of($kind)?->fields[$key]->rates?->safeFor($entry);
    }

    /** @return array<string, Fields> by kind */
    private static function written(): array
    {
        if (self::$written === null) {
            self::$written = [];
            // It ships with the program and is checked by its tests, so it is only decoded.
            $document = json_decode(
                (string) file_get_contents(dirname(__DIR__, 2) . '/data/kinds.json'),
                true,
                flags: JSON_THROW_ON_ERROR,
            );
            foreach ((new Fields((array) $document))->objects('kinds') as $kind) {
                self::$written[$kind->string('kind')] = $kind;
            }
        }

        return self::$written;
    }
}
