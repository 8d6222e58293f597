<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/** All kinds of kit, from core/data/kinds.json: adding one is a paragraph there. Each is read once, when it is asked for. */
final class Kinds
{
    /** @var array<string, Fields>|null */
    private static ?array $written = null;

    /** @var array<string, array{float, float}>|null */
    private static ?array $profileBounds = null;

    /** @var array<string, Kind> */
    private static array $kinds = [];

    /** @return array<string, Kind> */
    public static function all(): array
    {
        $all = [];
        foreach (array_keys(self::written()) as $kind) {
            $all[$kind] = self::get($kind);
        }

        return array_filter($all);
    }

    public static function get(string $kind): ?Kind
    {
        $written = self::$kinds[$kind] ?? (self::written()[$kind] ?? null);

        if ($written instanceof Fields) {
            return self::$kinds[$kind] = Kind::read($written);
        }

        return $written;
    }

    /** @return array<string, Beside> of kinds beside the chains of the runs, in the order of lists */
    public static function beside(): array
    {
        $beside = array_filter(array_map(static fn(Kind $k): ?Beside => $k->beside, self::all()));
        uasort($beside, static fn(Beside $a, Beside $b): int => $a->row <=> $b->row);

        return $beside;
    }

    /** Limit of an entry: its own, else the safe figure of its kind; null without one. */
    public static function limit(string $kind, string $key, Fields $entry): ?float
    {
        return $entry->numberOrNull($key) ?? self::get($kind)?->fields[$key]->rates?->safeFor($entry);
    }

    /**
     * Bounds of a profile's figures, in seconds, metres or counts: the widest that any kind allows.
     *
     * @return array<string, array{float, float}> by key, without "profile."
     */
    public static function profileBounds(): array
    {
        if (self::$profileBounds === null) {
            self::$profileBounds = [];
            foreach (self::written() as $kind) {
                foreach ($kind->objects('fields') as $field) {
                    $key = $field->string('key');
                    if (
                        str_starts_with($key, 'profile.') &&
                        in_array($field->string('type'), ['number', 'whole'], true)
                    ) {
                        $key = substr($key, 8);
                        [$least, $most] = self::$profileBounds[$key] ?? [INF, -INF];
                        self::$profileBounds[$key] = [
                            min($least, $field->number('least')),
                            max($most, $field->number('most')),
                        ];
                    }
                }
            }
        }

        return self::$profileBounds;
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
            $document = (array) $document;
            $shared = (array) $document['fields'];
            foreach ((array) $document['kinds'] as $kind) {
                $kind = (array) $kind;
                // A field that several kinds have is written once, among "fields", and named by them.
                $kind['fields'] = array_map(
                    static fn(mixed $field): mixed => is_string($field) ? $shared[$field] : $field,
                    (array) $kind['fields'],
                );
                $kind = new Fields($kind);
                self::$written[$kind->string('kind')] = $kind;
            }
        }

        return self::$written;
    }
}
