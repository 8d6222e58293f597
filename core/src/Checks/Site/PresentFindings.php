<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Site;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Control\Sound;
use EmberDusk\Plan\LightNames;
use EmberDusk\Plan\Place as Room;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\Site\Present;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;

/** Existing installation: lights to remove or keep, the client's hub, spare capacity, reserves. */
final readonly class PresentFindings extends Check
{
    public function rules(): array
    {
        return [
            new Rule('now-open', 'place', 'it is decided whether existing lights are removed', Rule::OWN),
            new Rule(
                'listed',
                'place',
                'no new light has the name of one that the client’s hub knows in its place',
                Rule::PRACTICE,
            ),
            new Rule('spare', 'place', 'spare channels and amps are used before more is bought', Rule::PRACTICE),
            new Rule('later', 'place', 'a supply has the amps reserved for later', Rule::OWN),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        foreach ($job->plan->places as $place) {
            foreach (WallNotes::read($place->notes)->site->present as $present) {
                $found = match ($present->kind) {
                    'now' => $this->now($place, $present),
                    'listed' => $this->listed($job, $place, $present),
                    'spare' => $this->spare($job, $place, $present),
                    'later' => $this->later($job, $place, $present),
                    default => null,
                };
                if ($found !== null) {
                    $findings[] = $found;
                }
            }
        }

        return $findings;
    }

    private function now(Room $place, Present $present): ?Finding
    {
        if ($present->out !== null) {
            return null;
        }

        return $this->open(
            'now-open',
            $place,
            $present,
            sprintf('%g %s: remove or keep?', $present->count, $present->what),
            'Type “, take out” or “, stay” after it: removing is a step at Build, and lights that stay add to the new ones.',
        );
    }

    /** Whether the light of a run has a name that is heard as the one that is listed. */
    private static function taken(JudgedJob $job, Run $run, string $listed): bool
    {
        foreach ([$run->name(), (new LightNames($job->plan))->of((string) $run->controller)] as $name) {
            if (Sound::same($name, $listed)) {
                return true;
            }
        }

        return false;
    }

    private function listed(JudgedJob $job, Room $place, Present $present): ?Finding
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

        return $this->open(
            'listed',
            $place,
            $present,
            "The client’s hub already has “{$present->what}” here",
            'Delete its entry before the search, or give the new light another name: two of one name both answer.',
        );
    }

    private function spare(JudgedJob $job, Room $place, Present $present): ?Finding
    {
        foreach ($job->plan->runs as $run) {
            $strip = $job->plan->strip($run->strip);
            $metres = $job->plan->of($run)->litLength();
            if ($run->place !== $place->id || $strip === null || !$strip->switched() || $run->controller === null) {
                continue;
            }
            $amps = ($strip->wattsPerMetre() * $metres) / $strip->volts;
            if (count($strip->channels) <= $present->channels && $amps <= $present->count) {
                return $this->open(
                    'spare',
                    $place,
                    $present,
                    "{$run->name()} fits on the existing {$present->what}",
                    sprintf(
                        '%d channels and %g A are free, it needs %d and %.2f A: one controller less to buy, ' .
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

    private function later(JudgedJob $job, Room $place, Present $present): ?Finding
    {
        $most = null;
        foreach ($job->plan->runs as $run) {
            if ($run->place === $place->id) {
                foreach ($job->plan->ways()->suppliesOf($run) as $id) {
                    $load = $job->supply($id);
                    $free = $job->plan->limits->usable() * ($load->supply->ratedAmps ?? 0.0) - $load->amps();
                    $most = max($most ?? $free, $free);
                }
            }
        }
        if ($most === null || $most >= $present->count - 1e-9) {
            return null;
        }

        return $this->rule('later')->watch(
            place: self::at($place, $present),
            title: sprintf('%g A reserved for later, %.2f A left', $present->count, max(0.0, $most)),
            detail: 'Choose a larger supply now, or lay a spare core and leave room for another: ' . $present->what,
            number: $most,
            limit: $present->count,
        );
    }

    private function open(string $code, Room $place, Present $present, string $title, string $detail): Finding
    {
        return $this->rule($code)->open(
            place: self::at($place, $present),
            title: $title,
            detail: $detail,
            source: Rule::PRACTICE,
        );
    }

    private static function at(Room $place, Present $present): FindingPlace
    {
        return new FindingPlace(JobStage::Survey, "{$place->id}:{$present->word->line}");
    }
}
