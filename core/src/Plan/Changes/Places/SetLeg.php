<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Places;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Survey\LengthReader;
use EmberDusk\Survey\SlipFound;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Survey\WallText;
use EmberDusk\Values\InvalidInput;

/** A wall measured again on the sheet: its word in the notes changes, and nothing else in them. */
final readonly class SetLeg extends Change
{
    private function __construct(private string $place, private int $leg, private float $metres) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self($f->string('place'), $f->whole('leg', 0, 100_000), self::metres($f));
    }

    private static function metres(Fields $f): float
    {
        try {
            $metres = LengthReader::text($f->string('length', 40));
        } catch (SlipFound $found) {
            throw $f->invalid('length', $found->getMessage());
        }
        if ($metres <= 0 || $metres > 500) {
            throw $f->invalid('length', 'A wall is longer than 0 and at most 500 m.');
        }

        return $metres;
    }

    protected function changed(Plan $plan): Plan
    {
        $place = $plan->place($this->place);
        if (!isset(WallNotes::read($place->notes)->legs[$this->leg])) {
            throw InvalidInput::at('/leg', "{$place->name} has no wall " . ($this->leg + 1) . '.');
        }

        return ReviseNotes::for($place->id, (new WallText($place->notes))->legOf($this->leg, $this->metres))->changed(
            $plan,
        );
    }

    public function words(Plan $plan): string
    {
        return sprintf(
            'Wall %d of %s is %s',
            $this->leg + 1,
            $plan->places[$this->place]->name ?? $this->place,
            $plan->terms->say($this->metres),
        );
    }
}
