<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Places;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Survey\WallText;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;

/** Writes the result of a trace of the cable legs into the notes of a place. */
final readonly class RecordTrace extends Change
{
    /** @param  array<string, string>  $found  by leg: "traced", "core 3 broken", "joined B" */
    private function __construct(private string $place, private array $found) {}

    /** @param  array<string, string>  $found */
    public static function for(string $place, array $found): self
    {
        return new self($place, $found);
    }

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $found = [];
        foreach ($f->objects('found') as $leg) {
            $found[$leg->string('leg', 24)] = $leg->string('found', 100);
        }

        return new self($f->string('place'), $found);
    }

    /** @param  array<string, string>  $found  by leg */
    public static function payload(string $place, array $found): ChangePayload
    {
        return ChangePayload::named(
            'RecordTrace',
            place: $place,
            found: array_map(
                static fn(string $leg, string $text): array => ['leg' => $leg, 'found' => $text],
                array_keys($found),
                $found,
            ),
        );
    }

    protected function changed(Plan $plan): Plan
    {
        $place = $plan->place($this->place);
        $text = $place->notes;
        foreach ($this->found as $leg => $found) {
            if (WallNotes::read($text)->site->leg($leg) === null) {
                throw InvalidInput::at('/found', "{$place->name} has no leg “{$leg}” any more.");
            }
            $text = (new WallText($text))->traced($leg, $found);
        }
        $before = count(WallNotes::read($place->notes)->slips);
        if (count(WallNotes::read($text)->slips) > $before) {
            throw InvalidInput::at(
                '/found',
                'The result cannot be added to the notes: write “traced”, “core 2 broken” or “joined B”.',
            );
        }

        return ReviseNotes::for($place->id, $text)->changed($plan);
    }

    public function words(Plan $plan): string
    {
        return count($this->found) . ' legs of ' . ($plan->places[$this->place]->name ?? $this->place) . ' traced';
    }
}
