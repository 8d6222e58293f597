<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Places;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Changes\Kit\MovedFeeds;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\CableWay;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Slices;
use EmberDusk\Survey\RunPath;
use EmberDusk\Survey\Site\RunNote;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;

/**
 * Saves wall notes as typed. Notes without errors set the lengths of their runs; with an error the runs stay unchanged. A run that is no longer in
 * the notes stays until it is deleted by name.
 */
final readonly class ReviseNotes extends Change
{
    private function __construct(private string $place, private string $text) {}

    public static function for(string $place, string $text): self
    {
        return new self($place, $text);
    }

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self($f->string('place'), $f->string('text'));
    }

    public static function payload(string $place, string $text): ChangePayload
    {
        return ChangePayload::named('ReviseNotes', place: $place, text: $text);
    }

    protected function changed(Plan $plan): Plan
    {
        $place = $plan->places[$this->place] ?? throw InvalidInput::unknown('/place', 'place', $this->place);
        $places = $plan->places;
        $places[$this->place] = new Place($place->id, $place->name, $this->text);
        $sheet = WallNotes::read($this->text);
        if ($sheet->slips === []) {
            return CableWay::reckoned(
                self::described(
                    self::measured($plan->with(places: $places), $place->id, $sheet->runs),
                    $place->id,
                    $sheet->site->runs,
                ),
                static fn(LaidCable $c): bool => true,
            );
        }

        return $plan->with(places: $places);
    }

    public function words(Plan $plan): string
    {
        return 'Wall notes of ' . ($plan->places[$this->place]->name ?? $this->place) . ' revised';
    }

    /** @param  array<string, RunNote>  $notes */
    private static function described(Plan $plan, string $place, array $notes): Plan
    {
        return $plan->with(
            runs: array_map(
                static fn(Run $r): Run => $r->place === $place ? $r->described($notes[$r->word] ?? null) : $r,
                $plan->runs,
            ),
        );
    }

    /** @param  array<string, RunPath>  $paths */
    private static function measured(Plan $plan, string $place, array $paths): Plan
    {
        foreach ($paths as $word => $path) {
            if ($path->lengths === []) {
                continue;
            }
            $sections = array_map(self::rounded(...), $path->lengths);
            $jumps = array_map(self::rounded(...), $path->jumps);
            $known = array_filter($plan->runs, static fn(Run $r): bool => $r->place === $place && $r->word === $word);
            foreach ($known as $before) {
                [$cut, $leads] = Slices::from($sections, $jumps, $before->part, $before->parts);
                if ($cut !== []) {
                    $plan = self::refit($plan, $before, $before->measured($cut, $leads));
                }
            }
            if ($known === []) {
                $id = self::slug($word, $plan->runs);
                $run = new Run(id: $id, place: $place, word: $word, sections: $sections, jumps: $jumps);
                $plan = $plan->put('runs', $id, $run);
            }
        }

        return $plan;
    }

    /** Feeds keep their metre. A run that is now shorter than one piece of its strip has no strip and no feeds any more. */
    private static function refit(Plan $plan, Run $before, Run $after): Plan
    {
        $old = $plan->of($before)->cutMarks();
        $new = $plan->of($after)->cutMarks();
        if ($old === null || $new === null) {
            return $plan->put('runs', $after->id, $after);
        }
        if ($new->groupCount() === 0) {
            return $plan->fedBy($after, [])->put('runs', $after->id, $after->bare());
        }

        return $plan
            ->fedBy($before, MovedFeeds::feeds($plan->ways()->feedsOf($before), $old, $new))
            ->put('runs', $after->id, $after);
    }

    private static function rounded(float $metres): float
    {
        return round($metres, 4);
    }

    /** @param  array<string, Run>  $taken */
    private static function slug(string $word, array $taken): string
    {
        $plain = transliterator_transliterate('Any-Latin; Latin-ASCII; Lower()', $word);
        $slug = preg_replace('/[^a-z0-9]+/', '', $plain === false ? '' : $plain) ?? '';
        if (preg_match('/^[a-z]/', $slug) !== 1) {
            $slug = 'run' . $slug;
        }
        if (isset($taken[$slug])) {
            return Plan::nextId($slug, $taken);
        }

        return $slug;
    }
}
