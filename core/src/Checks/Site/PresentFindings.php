<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Site;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Checks\Rule;
use EmberDusk\Control\Sound;
use EmberDusk\Plan\Place as Room;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\Site\Present;
use EmberDusk\Survey\TapeNotes;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** What is there already: what becomes of it, what the client's hub knows, what could be extended, what is kept for later. */
final readonly class PresentFindings implements Check
{
    public function rules(): array
    {
        return [
            new Rule('now-open', 'place', 'it is known whether what lights a place now is taken out', Rule::OWN),
            new Rule(
                'listed',
                'place',
                'no new light has the name of one that the client’s hub knows in its place',
                Rule::PRACTICE,
            ),
            new Rule(
                'spare',
                'place',
                'channels and amps to spare there are looked at before more is bought',
                Rule::PRACTICE,
            ),
            new Rule('later', 'place', 'a supply of the place has the amps that are kept for later', Rule::OWN),
        ];
    }

    public function check(Judged $job): array
    {
        $findings = [];
        foreach ($job->plan->places as $place) {
            foreach (TapeNotes::read($place->notes)->site->present as $present) {
                $found = match ($present->kind) {
                    'now' => self::now($place, $present),
                    'listed' => self::listed($job, $place, $present),
                    'spare' => self::spare($job, $place, $present),
                    'later' => self::later($job, $place, $present),
                    default => null,
                };
                if ($found !== null) {
                    $findings[] = $found;
                }
            }
        }

        return $findings;
    }

    private static function now(Room $place, Present $present): ?Finding
    {
        if ($present->out !== null) {
            return null;
        }

        return self::open(
            'now-open',
            $place,
            $present,
            sprintf('%g %s: taken out, or do they stay?', $present->count, $present->what),
            'Write “, take out” or “, stay” behind it: taking out is a step, and what stays lights beside the new.',
        );
    }

    /** Whether the light of a run has a name that is heard as the one that is listed. */
    private static function taken(Judged $job, Run $run, string $listed): bool
    {
        foreach ([$run->name(), $job->plan->lightName((string) $run->controller)] as $name) {
            if (Sound::same($name, $listed)) {
                return true;
            }
        }

        return false;
    }

    private static function listed(Judged $job, Room $place, Present $present): ?Finding
    {
        $new = false;
        foreach ($job->plan->runs as $run) {
            $new =
                $new ||
                ($run->place === $place->id &&
                    $job->plan->controller($run->controller)?->family === $present->family &&
                    self::taken($job, $run, $present->what));
        }
        if (!$new) {
            return null;
        }

        return self::open(
            'listed',
            $place,
            $present,
            "The client’s hub knows “{$present->what}” here already",
            'Delete its entry before the search, or give the new light another name: two of one name both answer.',
        );
    }

    private static function spare(Judged $job, Room $place, Present $present): ?Finding
    {
        foreach ($job->plan->runs as $run) {
            $strip = $job->plan->strip($run->strip);
            $metres = $job->plan->cutMarks($run)?->length() ?? 0.0;
            if ($run->place !== $place->id || $strip === null || !$strip->switched() || $run->controller === null) {
                continue;
            }
            $amps = ($strip->wattsPerMetre() * $metres) / $strip->volts;
            if (count($strip->channels) <= $present->channels && $amps <= $present->count) {
                return self::open(
                    'spare',
                    $place,
                    $present,
                    "{$run->name()} would fit on {$present->what}, which is there",
                    sprintf(
                        '%d channels and %g A are free, it asks for %d and %.2f A: one controller less to buy, ' .
                            'if the volts and the lights that go together agree.',
                        $present->channels,
                        $present->count,
                        count($strip->channels),
                        $amps,
                    ),
                );
            }
        }

        return null;
    }

    private static function later(Judged $job, Room $place, Present $present): ?Finding
    {
        $most = null;
        foreach ($job->plan->runs as $run) {
            if ($run->place === $place->id) {
                foreach ($job->plan->suppliesOf($run) as $id) {
                    $load = $job->supply($id);
                    $free = $job->plan->limits->usable() * ($load->supply->ratedAmps ?? 0.0) - $load->amps();
                    $most = max($most ?? $free, $free);
                }
            }
        }
        if ($most === null || $most >= $present->count - 1e-9) {
            return null;
        }

        return new Finding(
            code: 'later',
            severity: Severity::Watch,
            title: sprintf('%g A are kept for later, %.2f A are left', $present->count, max(0.0, $most)),
            detail: 'Take a larger supply now, or lay a spare core and leave room beside it: ' . $present->what,
            place: self::at($place, $present),
            number: $most,
            limit: $present->count,
            source: Rule::OWN,
        );
    }

    private static function open(string $code, Room $place, Present $present, string $title, string $detail): Finding
    {
        return new Finding(
            code: $code,
            severity: Severity::Open,
            title: $title,
            detail: $detail,
            place: self::at($place, $present),
            source: Rule::PRACTICE,
        );
    }

    private static function at(Room $place, Present $present): Place
    {
        return new Place('survey', "{$place->id}:{$present->word->line}");
    }
}
