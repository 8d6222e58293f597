<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Formats\Json;

/** All kinds of kit, from core/data/kinds.json: adding one is a paragraph there. */
final class Kinds
{
    /** @var array<string, Kind>|null */
    private static ?array $kinds = null;

    /** @return array<string, Kind> */
    public static function all(): array
    {
        if (self::$kinds === null) {
            self::$kinds = [];
            $document = Shelf::plain(
                Json::object((string) file_get_contents(dirname(__DIR__, 2) . '/data/kinds.json')),
            );
            foreach ((new Fields($document))->objects('kinds') as $kind) {
                $read = Kind::read($kind);
                self::$kinds[$read->kind] = $read;
            }
        }

        return self::$kinds;
    }

    public static function of(string $kind): ?Kind
    {
        return self::all()[$kind] ?? null;
    }
}
