<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;
use EmberDusk\Survey\TapeNotes;

/** A place where cables meet, core on core: a tap on a leg that runs past, a branch. */
final readonly class Splice
{
    public function __construct(public string $id, public string $where) {}

    public static function read(Fields $f): self
    {
        return new self($f->string('id'), $f->string('where', 80));
    }

    /** @return array<string, mixed> */
    public function write(): array
    {
        return ['id' => $this->id, 'where' => $this->where];
    }

    /**
     * An id that no outlet, box or battery of the job has for a name.
     *
     * @param  array<string, self>  $taken
     */
    public static function nextId(Plan $plan, array $taken): string
    {
        $names = [];
        foreach ($plan->places as $place) {
            foreach (TapeNotes::read($place->notes)->site->spots() as $spot) {
                $names[mb_strtolower($spot->name)] = true;
            }
        }

        return Plan::nextId('j', $taken + $names);
    }
}
