<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Plan\Plan;
use EmberDusk\Values\Place;

/** What of a job can be joined, and what cannot and why. */
final readonly class Joinable
{
    /** @param  list<Blocked>  $blocked */
    private function __construct(public Roster $roster, public array $blocked) {}

    public static function of(Plan $plan, School $school = new School()): self
    {
        $roster = RosterOfPlan::of($plan, $school);
        $blocked = [];
        $wants = $roster->wants;
        foreach ($roster->units as $unit) {
            $reason = self::reason($unit, $roster);
            if ($reason !== null) {
                $blocked[] = $reason;
                $wants = array_filter(
                    $wants,
                    static fn(Want $w): bool => $w->control !== $unit->id && $w->light !== $unit->id,
                );
            }
        }
        [$wants, $more] = self::room($roster, array_values($wants));
        $used = [Roster::PHONE => true];
        foreach ($wants as $want) {
            $used[$want->control] = $used[$want->light] = true;
        }

        return new self(new Roster(array_intersect_key($roster->units, $used), $wants, $school), [
            ...$blocked,
            ...$more,
        ]);
    }

    /** Whether there is anything to join at all. */
    public function any(): bool
    {
        return $this->roster->wants !== [];
    }

    /** What to do first where nothing can be joined. */
    public function lacking(): string
    {
        $first = $this->blocked[0] ?? null;
        if ($first === null) {
            return 'Choose a controller, and a hub, remote or phone for it, at Kit first.';
        }

        return "{$first->title}. {$first->detail}";
    }

    private static function reason(Unit $unit, Roster $roster): ?Blocked
    {
        if ($unit->role === Unit::PHONE) {
            return null;
        }
        if ($unit->family === '') {
            return new Blocked(
                Blocked::NO_FAMILY,
                $unit->id,
                "{$unit->label()} cannot be joined here",
                'Nobody has written how such a device joins: follow its leaflet, and note what you did in the log.',
                new Place('kit', $unit->item),
            );
        }
        $wanted = array_filter(
            $roster->wants,
            static fn(Want $w): bool => $w->control === $unit->id || $w->light === $unit->id,
        );
        if ($wanted === []) {
            if ($unit->lights()) {
                return new Blocked(
                    Blocked::NO_CONTROL,
                    $unit->id,
                    "Nothing in this job works {$unit->called()}",
                    'No hub, remote, panel, bridge or phone of the job speaks its way and sets its kind. Choose one at Kit.',
                    new Place('kit', $unit->item),
                );
            }

            return new Blocked(
                Blocked::NO_LIGHT,
                $unit->id,
                "{$unit->called()} has nothing to work",
                'No light of the job speaks its way, or none whose kind it can set. Take it out, or choose another.',
                new Place('kit', $unit->item),
            );
        }
        $missing = Families::of($unit->family)->missing($unit, $roster);
        if (
            array_filter(
                $roster->wants,
                static fn(Want $w): bool => $w->light === $unit->id && $roster->unit($w->control)->family === 'remote',
            ) !== []
        ) {
            $missing = [...$missing, ...Families::of('touchlink')->missing($unit, $roster)];
        }

        if ($missing === []) {
            return null;
        }

        return new Blocked(
            Blocked::NO_LEAFLET,
            $unit->id,
            "The leaflet of {$unit->called()} is not on the shelf",
            'Missing: ' .
                implode(', ', array_unique($missing)) .
                '. Type it on the shelf from the leaflet in its box, then bring the job’s copy up to date.',
            new Place('kit', $unit->item),
        );
    }

    /**
     * Lights that a control has no room for: more than its zones, or than it holds.
     *
     * @param  list<Want>  $wants
     * @return array{list<Want>, list<Blocked>}
     */
    private static function room(Roster $roster, array $wants): array
    {
        $blocked = [];
        foreach ($roster->units as $unit) {
            $room = $unit->zones > 0 ? $unit->zones : $unit->most;
            $own = array_values(array_filter($wants, static fn(Want $w): bool => $w->control === $unit->id));
            // Lights of one zone take one room of it.
            if ($unit->zones > 0) {
                $over = array_values(array_filter($own, static fn(Want $w): bool => $w->zone > $unit->zones));
            } else {
                $over = array_slice($own, $room ?? count($own));
            }
            if ($over === []) {
                continue;
            }
            $wants = array_values(array_filter($wants, static fn(Want $w): bool => !in_array($w, $over, true)));
            $blocked[] = new Blocked(
                $unit->zones > 0 ? Blocked::ZONES : Blocked::FULL,
                $unit->id,
                sprintf(
                    $unit->zones > 0 ? '%s has %d zones for %d lights' : '%s has room for %d of %d lights',
                    $unit->called(),
                    $room,
                    count($own),
                ),
                'Left out: ' .
                    implode(', ', array_map(static fn(Want $w): string => $roster->unit($w->light)->called(), $over)) .
                    ($unit->zones > 0
                        ? '. Let two lights share a zone, or choose one with more zones.'
                        : '. Choose one that holds more, or take old entries out of it.'),
                new Place('kit', $unit->item),
            );
        }

        return [$wants, $blocked];
    }
}
