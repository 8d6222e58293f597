<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Site;

use EmberDusk\Checks\Rule;
use EmberDusk\Plan\Place as Room;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\Site\CableLeg;
use EmberDusk\Survey\Site\Site;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Severity;

/** Power sources and legs of a site, and their problems. */
final readonly class PowerFindings
{
    /** @return list<Rule> */
    public static function rules(): array
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

    /**
     * @param  array<string, Run>  $runs
     * @return list<Finding>
     */
    public static function power(Plan $plan, Room $place, Site $site, array $runs): array
    {
        $findings = [];
        $here = array_filter($runs, static fn(Run $r): bool => !self::fedFromElsewhere($plan, $r));
        if ($here !== [] && $site->outlets === [] && $site->batteries === [] && $site->legs === []) {
            $findings[] = new Finding(
                code: 'no-power',
                severity: Severity::Open,
                title: "Where is power in {$place->name}?",
                detail: 'Type an outlet, a spur, a battery or a leg from one, such as “outlet P1 dais, circuit C2”.',
                place: new FindingPlace('survey', $place->id),
            );
        }
        foreach ($site->outlets as $outlet) {
            if ($outlet->keyed) {
                $findings[] = new Finding(
                    code: 'keyed',
                    severity: Severity::Watch,
                    title: "{$outlet->spot->name} is live with the key only",
                    detail: 'Its loads lose power when the key is turned: hubs drop out, and a controller starts at its power-on state each time.',
                    place: new FindingPlace('survey', "{$place->id}:{$outlet->spot->word->line}"),
                    source: 'common practice, no source',
                );
            }
            if ($outlet->damp || $site->damp === true) {
                $findings[] = new Finding(
                    code: 'damp-outlet',
                    severity: Severity::Watch,
                    title: "{$outlet->spot->name} is in a damp place",
                    detail: 'Work on mains is for a licensed person; residual-current protection and the tightness of the box ' .
                        'are theirs to judge by local rules.',
                    place: new FindingPlace('survey', "{$place->id}:{$outlet->spot->word->line}"),
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
            $plan->suppliesOf($run),
        );

        return $supplies !== [] &&
            array_filter($supplies, static fn(?string $p): bool => $p === null || $p === $run->place) === [];
    }

    /** @return list<Finding> */
    public static function legs(Room $place, Site $site): array
    {
        $untraced = array_filter($site->legs, static fn(CableLeg $l): bool => !$l->traced && !$l->open);
        $findings = [];
        if ($untraced !== []) {
            $names = implode(', ', array_map(static fn(CableLeg $l): string => $l->name, $untraced));
            $findings[] = new Finding(
                code: 'untraced',
                severity: Severity::Open,
                title: count($untraced) === 1 ? "Leg {$names} is not traced" : "Legs {$names} are not traced",
                detail: 'Disconnect every leg, prove it dead, then trace it before you use it for light.',
                place: new FindingPlace('survey', "{$place->id}:trace"),
                source: 'common practice, no source',
            );
        }
        foreach ($site->legs as $leg) {
            $at = new FindingPlace('survey', "{$place->id}:{$leg->span->line}");
            if ($leg->open || $leg->broken !== []) {
                if ($leg->open) {
                    $title = "Leg {$leg->name} gives no tone";
                } else {
                    $title = "Leg {$leg->name}: core " . implode(' and ', $leg->broken) . ' is broken';
                }
                $findings[] = new Finding(
                    code: 'broken',
                    severity: Severity::Watch,
                    title: $title,
                    detail: 'Do not use it until it is repaired or replaced.',
                    place: $at,
                );
            }
            if ($leg->joined !== null) {
                $findings[] = new Finding(
                    code: 'joined',
                    severity: Severity::Watch,
                    title: "Legs {$leg->name} and {$leg->joined} are joined on the way",
                    detail: 'A hidden box connects them. Find it and separate them before you use either.',
                    place: $at,
                );
            }
            if ($leg->to === null) {
                $findings[] = new Finding(
                    code: 'loose-end',
                    severity: Severity::Open,
                    title: "Leg {$leg->name}: far end unknown",
                    detail: 'Its far end is unknown. Replace the “?” in the notes once it is found.',
                    place: $at,
                );
            }
        }

        return $findings;
    }
}
