<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;
use EmberDusk\Survey\WallNotes;

/** A place where cables meet, core on core: a tap on a leg that runs past, a branch. */
final readonly class Splice implements JsonReadable
{
    use Record;

    public function __construct(public string $id, #[Field(longest: 80)] public string $where) {}

    /**
     * An id that no outlet, box or battery of the job has for a name.
     *
     * @param  array<string, self>  $taken
     */
    public static function nextId(Plan $plan, array $taken): string
    {
        $names = [];
        foreach ($plan->places as $place) {
            foreach (WallNotes::read($place->notes)->site->spots() as $spot) {
                $names[mb_strtolower($spot->name)] = true;
            }
        }

        return Plan::nextId('j', $taken + $names);
    }
}
