<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Cable;

use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\PlannerLimit;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\RunCheck;
use EmberDusk\Kit\Cable;
use EmberDusk\Plan\Changes\Wires\SetCable;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** At most 5 % of nominal volts from the supply to the farthest feed (IEC 60364-7-715, from memory). */
final readonly class Drop extends RunCheck
{
    public function rules(): array
    {
        return [
            new Rule(
                'drop',
                'run',
                'voltage drop from supply to the farthest feed is within the limit (5 % of nominal volts)',
                'IEC 60364-7-715, from memory',
                binds: PlannerLimit::Drop,
            ),
        ];
    }

    protected function run(JudgedRun $case): array
    {
        $result = $case->result;
        if ($result === null || $case->strip === null || $result->feeds === []) {
            return [];
        }
        $feed = $result->farthestFeed();
        $drop = round($feed->lost(), 4);
        $limit = $case->plan->limits->drop * $case->strip->volts;
        if ($drop <= $limit) {
            return [];
        }
        $laid = $case->plan->ways()->cableTo($feed->id);
        $now = $case->plan->cable($laid?->kit);
        // The drop on the rest of the route stays; a better fed strip draws slightly more, so 10 % is kept in reserve.
        $room = 0.9 * ($limit - $drop + ($result->cables[$laid->id ?? '']->drop ?? 0.0));
        if ($now === null || $laid === null) {
            $thicker = null;
        } else {
            $thicker = $case->smallest(
                Cable::class,
                static fn(Cable $c): bool => $c->cores >= $now->cores &&
                    $c->conductor->system === $now->conductor->system &&
                    ($result->cables[$laid->id]->drop * $c->conductor->ohmsPerMetre) / $now->conductor->ohmsPerMetre <=
                        $room,
                static fn(Cable $c): float => -$c->conductor->ohmsPerMetre + $c->cores * 1e-6,
            );
        }

        $fixes = [];
        if ($thicker !== null) {
            $fixes = [
                new Fix(
                    strtoupper($laid->id) . ' in ' . $thicker->conductor->label(),
                    SetCable::payload(cable: $laid->id, kit: $thicker->id()),
                ),
            ];
        }

        return [
            $this->rule('drop')->stop(
                place: new FindingPlace(JobStage::Wire, $feed->id),
                title: sprintf('%.2f V voltage drop in the cables of %s', $drop, $case->run->name()),
                detail: sprintf(
                    'From supply to feed %s; at most %.2f V, %g %% of %g V.',
                    strtoupper($feed->id),
                    $limit,
                    100 * $case->plan->limits->drop,
                    $case->strip->volts,
                ),
                number: $drop,
                limit: $limit,
                source: 'IEC 60364-7-715 (from memory)',
                fixes: $fixes,
            ),
        ];
    }
}
