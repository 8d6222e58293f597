<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes;

use EmberDusk\Formats\Fields;
use EmberDusk\Measure\Site\RunNote;
use EmberDusk\Measure\TapeText;
use EmberDusk\Plan\Plan;

/** How a run is mounted and what light it is for, written into the notes of its place. */
final readonly class NoteRun implements Change
{
    /** @param  list<string>  $mounting */
    private function __construct(private string $run, private array $mounting, private string $light)
    {
    }

    public static function read(Fields $f): self
    {
        $mounting = $f->strings('mounting');
        foreach ($mounting as $n => $one) {
            if (! in_array($one, RunNote::MOUNTINGS, true)) {
                throw $f->trouble("mounting/{$n}", "“{$one}” is none of ".implode(', ', RunNote::MOUNTINGS).'.');
            }
        }
        // A run lies in a profile or is bare: what was said last holds.
        [$profile, $bare] = [array_search('profile', $mounting, true), array_search('bare', $mounting, true)];
        if ($profile !== false && $bare !== false) {
            unset($mounting[min($profile, $bare)]);
        }
        $light = $f->oneOf('light', ['', ...RunNote::LIGHTS]);

        return new self($f->string('run'), array_values(array_filter(RunNote::MOUNTINGS, static fn (string $m): bool => in_array($m, $mounting, true))), $light);
    }

    public function apply(Plan $plan): Plan
    {
        $run = $plan->run($this->run);
        $place = $plan->place($run->place);

        return ReviseNotes::of($place->id, TapeText::run($place->notes, $run->word, $this->mounting, $this->light))->apply($plan);
    }

    public function words(Plan $plan): string
    {
        $said = trim(RunNote::write($this->mounting, $this->light, null), ', ');

        return $plan->run($this->run)->name().': '.($said === '' ? 'mounting open again' : $said);
    }
}
