<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Places;

use EmberDusk\Formats\Fields;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;

/** The name of a place: there, not too long, and no other place's. */
final readonly class PlaceName
{
    /** @throws Refusal */
    public static function read(Fields $f): string
    {
        $name = trim(preg_replace('/\s+/u', ' ', $f->string('name', 60)) ?? '');
        if ($name === '') {
            throw $f->invalid('name', 'Give the place a name, such as Dome.');
        }

        return $name;
    }

    /** @throws Refusal when another place has that name */
    public static function free(Plan $plan, string $name, ?string $of): void
    {
        foreach ($plan->places as $id => $place) {
            if ($id !== $of && mb_strtolower($place->name) === mb_strtolower($name)) {
                throw InvalidInput::at(
                    '/name',
                    "There is a “{$place->name}” already. Make the names differ, such as “{$name} upstairs”.",
                );
            }
        }
    }
}
