<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Kit\Profiles\Gesture;
use EmberDusk\Kit\Profiles\GesturePart;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Source;
use EmberDusk\Survey\WallNotes;

/** Preparations for joining: tools, power, phone and accounts, the network, old pairings. Checked before any time window runs. */
final readonly class Prerequisites
{
    private function __construct(private Roster $roster) {}

    /** @return list<Prerequisite> */
    public static function for(Roster $roster, Plan $plan): array
    {
        return (new self($roster))->all($plan);
    }

    /** @return list<Prerequisite> */
    private function all(Plan $plan): array
    {
        return array_values(
            array_filter([
                $this->power(),
                ...$this->tools($plan),
                $this->phone(),
                $this->accounts(),
                $this->network(),
                $this->hubs(),
                self::listed($plan),
                $this->panel(),
            ]),
        );
    }

    private function power(): ?Prerequisite
    {
        $lights = array_filter($this->roster->units, static fn(Unit $u): bool => $u->lights());

        if ($lights === []) {
            return null;
        }

        return new Prerequisite(
            'power',
            'Power at ' . self::labels($lights),
            'Each must be switched alone, or its lead lifted with the supply off.' .
                (array_filter($lights, static fn(Unit $u): bool => $u->source === Source::Mains) === []
                    ? ''
                    : ' Mains work is for a licensed person; local rules decide.'),
        );
    }

    /** @return list<Prerequisite> */
    private function tools(Plan $plan): array
    {
        $needs = [];
        $holes = array_filter(
            $this->roster->units,
            static fn(Unit $u): bool => array_filter(
                $u->leaflet->gestures,
                static fn(Gesture $g): bool => array_filter(
                    $g->parts,
                    static fn(GesturePart $p): bool => strtoupper($p->key) === 'PIN',
                ) !== [],
            ) !== [],
        );
        if ($holes !== []) {
            $needs[] = new Prerequisite(
                'pin',
                'A pin for the hole of ' . self::labels($holes),
                'A straightened paper clip will do.',
            );
        }
        $boards = $this->roster->inRole(Unit::BOARD);
        if ($boards !== []) {
            $needs[] = new Prerequisite(
                'lead',
                'A data lead for ' . self::labels($boards),
                'One that carries data: many only charge. Test it before the visit.',
            );
        }
        $high = array_filter($this->roster->units, static function (Unit $u) use ($plan): bool {
            $stands = ($plan->lightUnits()[$u->item] ?? ($plan->hubs[$u->item] ?? ($plan->items[$u->item] ?? null)))
                ?->stands;

            return ($stands->up ?? 0.0) > Run::REACH;
        });
        if ($high !== []) {
            $needs[] = new Prerequisite(
                'ladder',
                'A ladder for ' . self::labels($high),
                'A second person holds it; keep the phone in a pocket while you climb.',
            );
        }

        return $needs;
    }

    private function phone(): Prerequisite
    {
        $bound = $this->roster->with(FamilyFact::OnePhone);

        return new Prerequisite(
            'phone',
            $bound === [] ? 'A phone with the apps' : 'The client’s own phone with the apps',
            $bound === []
                ? 'Apps loaded and up to date before you leave; battery full.'
                : self::labels($bound) .
                    ' are bound to one phone: use the client’s. Load the apps in advance, charge the battery; switch notifications back on afterwards.',
        );
    }

    private function accounts(): ?Prerequisite
    {
        $with = $this->roster->with(FamilyFact::Account);

        if ($with === []) {
            return null;
        }

        return new Prerequisite(
            'account',
            'The client’s accounts for ' . self::labels($with),
            'The client owns them and signs in. No password is written down here.',
        );
    }

    private function network(): ?Prerequisite
    {
        $on = $this->roster->with(FamilyFact::SiteNetwork) + $this->roster->with(FamilyFact::Internet);

        if ($on === []) {
            return null;
        }

        return new Prerequisite(
            'network',
            'The network’s name, in the 2.4 GHz band, for ' . self::labels($on),
            'The client types its password. Do not use the guest network: it isolates devices.',
        );
    }

    /** Zigbee hubs, which must run before any device joins them, by cable or radio. */
    private function hubs(): ?Prerequisite
    {
        $hubs = array_filter($this->roster->inRole(Unit::HUB), static fn(Unit $u): bool => $u->way === 'zigbee');

        if ($hubs === []) {
            return null;
        }

        return new Prerequisite(
            'hub',
            self::labels($hubs) . ' set up, and its app signed in',
            'By a cable to the router, or in the site’s network through its app. Its own network is there before anything joins it.',
        );
    }

    private static function listed(Plan $plan): ?Prerequisite
    {
        $names = [];
        foreach ($plan->places as $place) {
            foreach (WallNotes::read($place->notes)->site->present as $present) {
                if ($present->kind === 'listed') {
                    $names[] = $present->what;
                }
            }
        }

        if ($names === []) {
            return null;
        }

        return new Prerequisite(
            'listed',
            'Old entries in the client’s hub: ' . implode(', ', $names),
            'Ask which ones stay. Delete the others in the app before you reset anything.',
        );
    }

    private function panel(): ?Prerequisite
    {
        $panels = $this->roster->inRole(Unit::PANEL);

        if ($panels === []) {
            return null;
        }

        return new Prerequisite(
            'panel',
            self::labels($panels) . ' still loose, or a temporary supply',
            'A panel is linked before it is fixed. To one that is on its wall already each controller is brought on a temporary supply.',
        );
    }

    /** @param  array<array-key, Unit>  $units */
    private static function labels(array $units): string
    {
        return implode(', ', array_map(static fn(Unit $u): string => $u->label(), array_values($units)));
    }
}
