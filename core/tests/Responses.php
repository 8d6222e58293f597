<?php

declare(strict_types=1);

namespace EmberDusk\Tests;

use EmberDusk\Formats\Json;
use EmberDusk\Formats\Schema;
use JsonSerializable;
use RuntimeException;

/** Validates the data of a screen against its schema. */
final class Responses
{
    private const SCREENS = __DIR__ . '/../../app/Screens';

    /** @return list<string> */
    public static function files(): array
    {
        return [...glob(self::SCREENS . '/*.json') ?: [], ...glob(self::SCREENS . '/*/*.json') ?: []];
    }

    /**
     * @param  JsonSerializable|array<array-key, mixed>|string  $answer  JSON, or what becomes JSON
     * @param  string  $as  one of the $defs of a screen's schema
     */
    public static function check(JsonSerializable|array|string $answer, string $as): void
    {
        Schema::register('screens', self::SCREENS);
        foreach (self::files() as $file) {
            if (isset(Json::object((string) file_get_contents($file))->{'$defs'}->{$as})) {
                $name = substr($file, strlen(self::SCREENS) + 1, -strlen('.json'));
                Schema::check(
                    Json::object(is_string($answer) ? $answer : Json::compact($answer)),
                    "screens/{$name}#/\$defs/{$as}",
                );

                return;
            }
        }
        throw new RuntimeException("No screen has a schema for “{$as}”.");
    }
}
