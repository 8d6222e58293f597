<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Site;

use EmberDusk\Checks\PlaceCheck;
use EmberDusk\Checks\Rule;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\Site\CableLeg;
use EmberDusk\Survey\Site\Site;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;

/** Power sources and legs of a site, and their problems. */
final readonly class PowerFindings extends PlaceCheck
{
    public function rules(): array
    {
        return [
            new Rule('no-power', 'place', 'a place with lights has power', Rule::OWN),
            new Rule(
                'keyed',
                'place',
                'lights are not fed from an outlet that is live with the key only',
                Rule::PRACTICE,
            ),
            new Rule('damp-outlet', 'place', 'mains in a damp place is flagged', Rule::PRACTICE),
            new Rule('untraced', 'place', 'every existing leg is traced before it is used', Rule::PRACTICE),
            new Rule('broken', 'place', 'no leg with a broken core is counted on', Rule::OWN),
            new Rule('joined', 'place', 'no two legs are joined on the way', Rule::OWN),
            new Rule('loose-end', 'place', 'it is known where a leg ends', Rule::OWN),
        ];
    }

    protected function place(JobState $state, Place $place, Site $site): array
    {
        $runs = array_filter($state->plan->runs, static fn(Run $r): bool => $r->place === $place->id);

        return [...$this->power($state->plan, $place, $site, $runs), ...$this->legs($place, $site)];
    }

    /**
     * @param  array<string, Run>  $runs
     * @return list<Finding>
     */
    private function power(Plan $plan, Place $place, Site $site, array $runs): array
    {
        $findings = [];
        $here = array_filter($runs, static fn(Run $r): bool => !self::fedFromElsewhere($plan, $r));
        if ($here !== [] && $site->outlets === [] && $site->batteries === [] && $site->legs === []) {
            $findings[] = $this->rule('no-power')->open(
                place: new FindingPlace(JobStage::Survey, $place->id),
                title: "Where is power in {$place->name}?",
                detail: 'Type an outlet, a spur, a battery or a leg from one, such as “outlet P1 dais, circuit C2”.',
            );
        }
        foreach ($site->outlets as $outlet) {
            if ($outlet->keyed) {
                $findings[] = $this->rule('keyed')->watch(
                    place: new FindingPlace(JobStage::Survey, "{$place->id}:{$outlet->spot->word->line}"),
                    title: "{$outlet->spot->name} is live with the key only",
                    detail: 'Its loads lose power when the key is turned: hubs drop out, and a controller starts at its power-on state each time.',
                );
            }
            if ($outlet->damp || $site->damp === true) {
                $findings[] = $this->rule('damp-outlet')->watch(
                    place: new FindingPlace(JobStage::Survey, "{$place->id}:{$outlet->spot->word->line}"),
                    title: "{$outlet->spot->name} is in a damp place",
                    detail: 'Work on mains is for a licensed person, who judges residual-current protection and the rating of the ' .
                        'box by local rules.',
                    source: 'local rules decide',
                );
            }
        }

        return $findings;
    }

    /** Whether every supply of a run is in another place. */
    private static function fedFromElsewhere(Plan $plan, Run $run): bool
    {
        $supplies = array_map(
            static fn(string $id): ?string => $plan->supplies[$id]->stands->place ?? null,
            $plan->ways()->suppliesOf($run),
        );

        return $supplies !== [] &&
            array_filter($supplies, static fn(?string $p): bool => $p === null || $p === $run->place) === [];
    }

    /** @return list<Finding> */
    private function legs(Place $place, Site $site): array
    {
        $untraced = array_filter($site->legs, static fn(CableLeg $l): bool => !$l->traced && !$l->open);
        $findings = [];
        if ($untraced !== []) {
            $names = implode(', ', array_map(static fn(CableLeg $l): string => $l->name, $untraced));
            $findings[] = $this->rule('untraced')->open(
                place: new FindingPlace(JobStage::Survey, "{$place->id}:trace"),
                title: count($untraced) === 1 ? "Leg {$names} is not traced" : "Legs {$names} are not traced",
                detail: 'Disconnect every leg, prove it dead, then trace it before you use it for light.',
            );
        }
        foreach ($site->legs as $leg) {
            $at = new FindingPlace(JobStage::Survey, "{$place->id}:{$leg->span->line}");
            if ($leg->open || $leg->broken !== []) {
                if ($leg->open) {
                    $title = "Leg {$leg->name} gives no tone";
                } else {
                    $title = "Leg {$leg->name}: core " . implode(' and ', $leg->broken) . ' is broken';
                }
                $findings[] = $this->rule('broken')->watch(
                    place: $at,
                    title: $title,
                    detail: 'Do not use it until it is repaired or replaced.',
                );
            }
            if ($leg->joined !== null) {
                $findings[] = $this->rule('joined')->watch(
                    place: $at,
                    title: "Legs {$leg->name} and {$leg->joined} are joined on the way",
                    detail: 'A hidden box connects them. Find it and separate them before you use either.',
                );
            }
            if ($leg->to === null) {
                $findings[] = $this->rule('loose-end')->open(
                    place: $at,
                    title: "Leg {$leg->name}: far end unknown",
                    detail: 'Its far end is unknown. Replace the “?” in the notes once it is found.',
                );
            }
        }

        return $findings;
    }
}
