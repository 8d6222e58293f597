<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Site;

use EmberDusk\Plan\Place as Room;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\Site\CableLeg;
use EmberDusk\Survey\Site\Site;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** Where power comes from at a site and by which legs, and what speaks against it. */
final readonly class PowerFindings
{
    /**
     * @param  array<string, Run>  $runs
     * @return list<Finding>
     */
    public static function power(Room $place, Site $site, array $runs): array
    {
        $findings = [];
        if ($runs !== [] && $site->outlets === [] && $site->batteries === [] && $site->legs === []) {
            $findings[] = new Finding(
                'no-power',
                Severity::Open,
                "Where is power in {$place->name}?",
                'Write an outlet, a spur, a battery or a leg that comes from one, such as “outlet P1 dais, circuit C2”.',
                new Place('survey', $place->id),
            );
        }
        foreach ($site->outlets as $outlet) {
            if ($outlet->keyed) {
                $findings[] = new Finding(
                    'keyed',
                    Severity::Watch,
                    "{$outlet->spot->name} is live with the key only",
                    'What hangs on it loses its power when the key is turned: hubs fall off, and a controller takes its power-on state each time.',
                    new Place('survey', "{$place->id}:{$outlet->spot->word->line}"),
                    null,
                    null,
                    'common practice, no source',
                );
            }
            if ($outlet->damp || $site->damp === true) {
                $findings[] = new Finding(
                    'damp-outlet',
                    Severity::Watch,
                    "{$outlet->spot->name} is in a damp place",
                    'Work on mains is for a licensed person; residual-current protection and the tightness of the box are theirs to judge by local rules.',
                    new Place('survey', "{$place->id}:{$outlet->spot->word->line}"),
                    null,
                    null,
                    'local rules decide',
                );
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    public static function legs(Room $place, Site $site): array
    {
        $untraced = array_filter($site->legs, static fn(CableLeg $l): bool => !$l->traced && !$l->open);
        $findings = [];
        if ($untraced !== []) {
            $names = implode(', ', array_map(static fn(CableLeg $l): string => $l->name, $untraced));
            $findings[] = new Finding(
                'untraced',
                Severity::Open,
                count($untraced) === 1 ? "Leg {$names} is not traced" : "Legs {$names} are not traced",
                'Disconnect every leg, prove it dead, then trace: which is which decides what may carry the light.',
                new Place('survey', "{$place->id}:trace"),
                null,
                null,
                'common practice, no source',
            );
        }
        foreach ($site->legs as $leg) {
            $at = new Place('survey', "{$place->id}:{$leg->span->line}");
            if ($leg->open || $leg->broken !== []) {
                $findings[] = new Finding(
                    'broken',
                    Severity::Watch,
                    $leg->open
                        ? "Leg {$leg->name} gives no tone"
                        : "Leg {$leg->name}: core " . implode(' and ', $leg->broken) . ' is broken',
                    'It carries nothing until it is mended or replaced.',
                    $at,
                );
            }
            if ($leg->joined !== null) {
                $findings[] = new Finding(
                    'joined',
                    Severity::Watch,
                    "Legs {$leg->name} and {$leg->joined} are joined on the way",
                    'There is a box between them that nobody has seen. Find and part it before either is used.',
                    $at,
                );
            }
            if ($leg->to === null) {
                $findings[] = new Finding(
                    'loose-end',
                    Severity::Open,
                    "Leg {$leg->name} ends somewhere",
                    'Nobody knows where. Write its far end in place of the “?” once it is found.',
                    $at,
                );
            }
        }

        return $findings;
    }
}
