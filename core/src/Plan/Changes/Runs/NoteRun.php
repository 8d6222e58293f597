<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Runs;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Changes\Places\ReviseNotes;
use EmberDusk\Plan\Plan;
use EmberDusk\Survey\Site\RunNote;
use EmberDusk\Survey\WallText;
use EmberDusk\Values\ChangePayload;

/**
 * Says one more thing of a run, or takes it back: a way it is mounted, or what light it is for. It is written into the
 * notes of its place. One at a time, so that two quick presses do not undo each other.
 */
final readonly class NoteRun extends Change
{
    private function __construct(private string $run, private string $word, private bool $on) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self(
            $f->string('run'),
            $f->oneOf('word', [...RunNote::MOUNTINGS, ...RunNote::LIGHTS, RunNote::FIXED]),
            $f->flag('on'),
        );
    }

    public static function payload(string $run, string $word, bool $on): ChangePayload
    {
        return ChangePayload::named('NoteRun', run: $run, word: $word, on: $on);
    }

    protected function changed(Plan $plan): Plan
    {
        $run = $plan->run($this->run);
        $place = $plan->place($run->place);
        if ($this->word === RunNote::FIXED) {
            return ReviseNotes::for($place->id, (new WallText($place->notes))->fixed($run->word, $this->on))->changed(
                $plan,
            );
        }
        $light = $run->light;
        $mounting = $run->mounting;
        if (in_array($this->word, RunNote::LIGHTS, true)) {
            $light = match (true) {
                $this->on => $this->word,
                $light === $this->word => '',
                default => $light,
            };
        } else {
            // A run is in a profile or is bare.
            $not = [$this->word, ...['profile' => ['bare'], 'bare' => ['profile']][$this->word] ?? []];
            $mounting = [...array_diff($mounting, $not), ...$this->on ? [$this->word] : []];
        }
        $mounting = array_values(
            array_filter(RunNote::MOUNTINGS, static fn(string $m): bool => in_array($m, $mounting, true)),
        );

        return ReviseNotes::for($place->id, (new WallText($place->notes))->run($run->word, $mounting, $light))->changed(
            $plan,
        );
    }

    public function words(Plan $plan): string
    {
        return $plan->run($this->run)->name() .
            ($this->on ? ': ' : ': not ') .
            match (true) {
                isset(RunNote::CALLED[$this->word]) => RunNote::CALLED[$this->word] . ' light',
                $this->word === RunNote::FIXED => 'direction of the data fixed',
                default => $this->word,
            };
    }
}
