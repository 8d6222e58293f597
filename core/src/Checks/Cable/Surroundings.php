<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Cable;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Kit\Cable;
use EmberDusk\Plan\Changes\Wires\SetCable;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** Cables where they are: indoor cable outdoors or in the ground, rigid cable on something that moves. */
final readonly class Surroundings extends Check
{
    public function rules(): array
    {
        return [
            new Rule('cable-outdoors', 'cable', 'a cable outdoors or in the ground is made for it', Rule::LEAFLET),
            new Rule('cable-moving', 'cable', 'a cable to something that moves is flexible', Rule::PRACTICE),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        foreach ($job->plan->cables as $id => $laid) {
            $cable = $job->plan->cable($laid->kit);
            if ($cable === null) {
                continue;
            }
            $runs = self::runs($job->plan, $laid);
            $place = new FindingPlace(JobStage::Wire, $id);
            $name = strtoupper($id);
            $outdoors = self::mounted($runs, 'outdoors') || $laid->laid === 'ground';
            if ($outdoors && !$cable->outdoors) {
                $findings[] = $this->rule('cable-outdoors')->watch(
                    place: $place,
                    title: "{$name}: indoor cable " . ($laid->laid === 'ground' ? 'in the ground' : 'outdoors'),
                    detail: 'Sun and water break its sheath within a few years. Choose a cable for outdoors; ' .
                        'in the ground also a duct or armour, as local codes require.',
                    fixes: self::instead($job, $laid, $cable, static fn(Cable $c): bool => $c->outdoors),
                );
            }
            if (self::rigid($cable) && self::mounted($runs, 'moving')) {
                $findings[] = $this->rule('cable-moving')->stop(
                    place: $place,
                    title: "{$name}: rigid cable on something that moves",
                    detail: 'Its cores break inside the sheath. Choose a flexible cable (class 5).',
                    fixes: self::instead($job, $laid, $cable, static fn(Cable $c): bool => !self::rigid($c)),
                );
            }
        }

        return $findings;
    }

    /**
     * The thinnest other cable with as many cores that carries as much.
     *
     * @param  callable(Cable): bool  $fits
     * @return list<Fix>
     */
    private static function instead(JudgedJob $job, LaidCable $laid, Cable $now, callable $fits): array
    {
        $other = $job->smallest(
            Cable::class,
            static fn(Cable $c): bool => $fits($c) &&
                $c->cores >= $now->cores &&
                $c->conductor->system === $now->conductor->system &&
                $c->conductor->area() >= $now->conductor->area(),
            static fn(Cable $c): float => $c->conductor->area() + $c->cores * 1e-3,
        );
        if ($other === null) {
            return [];
        }

        return [
            new Fix(
                strtoupper($laid->id) . ' in ' . $other->name(),
                SetCable::payload(cable: $laid->id, kit: $other->id()),
            ),
        ];
    }

    private static function rigid(Cable $cable): bool
    {
        return $cable->conductor->make === 'solid' ||
            ($cable->conductor->system === 'mm2' && $cable->conductor->make !== 'flexible');
    }

    /** @param  list<Run>  $runs */
    private static function mounted(array $runs, string $how): bool
    {
        return array_filter($runs, static fn(Run $r): bool => in_array($how, $r->mounting, true)) !== [];
    }

    /** @return list<Run> with a feed at the cable's end: the part before a controller may be elsewhere */
    private static function runs(Plan $plan, LaidCable $laid): array
    {
        $run = $plan->runs[$plan->feeds[$laid->to]->run ?? ''] ?? null;

        return $run === null ? [] : [$run];
    }
}
