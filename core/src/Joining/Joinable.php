<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Plan\Plan;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;

/** Joinable units of a job, and the reasons for the others. */
final readonly class Joinable
{
    /** @param  list<JoinBlock>  $blocked */
    private function __construct(public Roster $roster, public array $blocked) {}

    public static function for(Plan $plan, TimingMethod $school = new TimingMethod()): self
    {
        $roster = RosterOfPlan::for($plan, $school);
        $blocked = [];
        $wants = $roster->wants;
        foreach ($roster->units as $unit) {
            $reason = self::reason($unit, $roster);
            if ($reason !== null) {
                $blocked[] = $reason;
                $wants = array_filter(
                    $wants,
                    static fn(ControlledLight $w): bool => $w->control !== $unit->id && $w->light !== $unit->id,
                );
            }
        }
        [$wants, $more] = self::room($roster, array_values($wants));
        [$wants, $remotes] = self::remotes($roster, $wants);
        $used = [Roster::PHONE => true];
        foreach ($wants as $want) {
            $used[$want->control] = $used[$want->light] = true;
        }

        return new self(new Roster(array_intersect_key($roster->units, $used), $wants, $school), [
            ...$blocked,
            ...$more,
            ...$remotes,
        ]);
    }

    /** Whether there is anything to join at all. */
    public function any(): bool
    {
        return $this->roster->wants !== [];
    }

    /** First step if nothing can be joined. */
    public function lacking(): string
    {
        $first = $this->blocked[0] ?? null;
        if ($first === null) {
            return 'Choose a controller, and a hub, remote or phone for it, at Kit first.';
        }

        return "{$first->title}. {$first->detail}";
    }

    private static function reason(Unit $unit, Roster $roster): ?JoinBlock
    {
        if ($unit->role === Unit::PHONE) {
            return null;
        }
        if ($unit->family === '') {
            return new JoinBlock(
                JoinBlock::NO_FAMILY,
                $unit->id,
                "{$unit->label()} cannot be joined here",
                'This tool has no joining steps for such a device: follow its instructions, and note what you did in the log.',
                new FindingPlace(JobStage::Kit, $unit->item),
            );
        }
        $wanted = array_filter(
            $roster->wants,
            static fn(ControlledLight $w): bool => $w->control === $unit->id || $w->light === $unit->id,
        );
        if ($wanted === []) {
            if ($unit->lights()) {
                return new JoinBlock(
                    JoinBlock::NO_CONTROL,
                    $unit->id,
                    "No control for {$unit->called()} in this job",
                    'No hub, remote, panel, bridge or phone of the job supports its radio and its light type. Choose one at Kit.',
                    new FindingPlace(JobStage::Kit, $unit->item),
                );
            }

            return new JoinBlock(
                JoinBlock::NO_LIGHT,
                $unit->id,
                "{$unit->called()} has no light to control",
                'No light of the job speaks its way, or none whose kind it can set. Remove it, or choose another.',
                new FindingPlace(JobStage::Kit, $unit->item),
            );
        }
        $missing = Families::get($unit->family)->missing($unit, $roster);

        if ($missing === []) {
            return null;
        }

        return new JoinBlock(
            JoinBlock::NO_LEAFLET,
            $unit->id,
            "Instructions of {$unit->called()} are missing on the shelf",
            'Missing: ' .
                implode(', ', array_unique($missing)) .
                '. Enter them on the shelf from the instructions in the box, then update the job’s copy.',
            new FindingPlace(JobStage::Kit, $unit->item),
        );
    }

    /**
     * Remotes that a light does not admit without a hub: the instructions say how many may link to it.
     *
     * @param  list<ControlledLight>  $wants
     * @return array{list<ControlledLight>, list<JoinBlock>}
     */
    private static function remotes(Roster $roster, array $wants): array
    {
        $blocked = [];
        foreach ($roster->units as $unit) {
            $most = $unit->leaflet->figure('remotes');
            $own = array_values(
                array_filter(
                    $wants,
                    static fn(ControlledLight $w): bool => $w->light === $unit->id &&
                        LinkGroup::forms($roster->unit($w->control)),
                ),
            );
            if (
                $most === null ||
                count($own) <= $most ||
                LinkGroup::hub($roster->unit($own[0]->control), $roster) !== null
            ) {
                continue;
            }
            $over = array_slice($own, (int) $most);
            $wants = array_values(
                array_filter($wants, static fn(ControlledLight $w): bool => !in_array($w, $over, true)),
            );
            $blocked[] = new JoinBlock(
                JoinBlock::REMOTES,
                $unit->id,
                sprintf('%s admits %d of %d remotes without a hub', $unit->called(), $most, count($own)),
                'Left out: ' .
                    implode(
                        ', ',
                        array_map(static fn(ControlledLight $w): string => $roster->unit($w->control)->called(), $over),
                    ) .
                    '. A further link would take the light from the first. Choose a hub for both, or let one remote work it.',
                new FindingPlace(JobStage::Kit, $unit->item),
            );
        }

        return [$wants, $blocked];
    }

    /**
     * Lights that a control has no room for: more than its zones, or than it holds.
     *
     * @param  list<ControlledLight>  $wants
     * @return array{list<ControlledLight>, list<JoinBlock>}
     */
    private static function room(Roster $roster, array $wants): array
    {
        $blocked = [];
        foreach ($roster->units as $unit) {
            $room = $unit->zones > 0 ? $unit->zones : $unit->most;
            $own = array_values(array_filter($wants, static fn(ControlledLight $w): bool => $w->control === $unit->id));
            // Lights of one zone take one room of it.
            if ($unit->zones > 0) {
                $over = array_values(
                    array_filter($own, static fn(ControlledLight $w): bool => $w->zone > $unit->zones),
                );
            } else {
                $over = array_slice($own, $room ?? count($own));
            }
            if ($over === []) {
                continue;
            }
            $wants = array_values(
                array_filter($wants, static fn(ControlledLight $w): bool => !in_array($w, $over, true)),
            );
            $blocked[] = new JoinBlock(
                $unit->zones > 0 ? JoinBlock::ZONES : JoinBlock::FULL,
                $unit->id,
                sprintf(
                    $unit->zones > 0 ? '%s has %d zones for %d lights' : '%s has room for %d of %d lights',
                    $unit->called(),
                    $room,
                    count($own),
                ),
                'Left out: ' .
                    implode(
                        ', ',
                        array_map(static fn(ControlledLight $w): string => $roster->unit($w->light)->called(), $over),
                    ) .
                    ($unit->zones > 0
                        ? '. Let two lights share a zone, or choose one with more zones.'
                        : '. Choose one with more room, or delete old entries in it.'),
                new FindingPlace(JobStage::Kit, $unit->item),
            );
        }

        return [$wants, $blocked];
    }
}
