<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Protection;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\PlannerLimit;
use EmberDusk\Checks\Rule;
use EmberDusk\Circuit\CableResult;
use EmberDusk\Kit\Cable;
use EmberDusk\Plan\CableRating;
use EmberDusk\Plan\Changes\Wires\SetCable;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** The worst current of a cable stays within its ampacity as laid (docs/model.md 7). */
final readonly class CableCapacity extends Check
{
    private const LAYINGS = ['surface' => 'on a surface', 'conduit' => 'in conduit', 'wall' => 'in an insulated wall'];

    public function rules(): array
    {
        return [
            new Rule(
                'cable-amps',
                'cable',
                'the highest current in a core stays within its table value as laid, also with one feed open',
                'BS 7671 tables 4F3A, 4D5 and 4B1, NEC 402.5, from memory',
                binds: PlannerLimit::Cable,
            ),
            new Rule('capacity-unknown', 'cable', 'the tables cover the cable size and the air temperature', Rule::OWN),
            new Rule(
                'laying',
                'cable',
                'the installation method of a fixed cable is known; until then it counts as in an insulated wall',
                'BS 7671 table 4D5, from memory',
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        foreach ($job->cables() as $id => $result) {
            $laid = $job->plan->cables[$id];
            $cable = $job->plan->cable($laid->kit);
            if ($cable !== null) {
                array_push($findings, ...$this->cable($job, $laid, $cable, $result));
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function cable(JudgedJob $job, LaidCable $laid, Cable $cable, CableResult $result): array
    {
        $rating = CableRating::for($job->plan, $laid);
        $name = strtoupper($laid->id);
        $place = new FindingPlace(JobStage::Wire, $laid->id);
        $findings = [];
        if ($rating->asks) {
            $findings[] = $this->rule('laying')->open(
                place: $place,
                title: "{$name}: how is it laid?",
                detail: sprintf(
                    '%s carries much more on a surface than in an insulated wall. Until the method is set: %s.',
                    $cable->conductor->label(),
                    $rating->amps === null ? 'nothing is known' : sprintf('%g A count', $rating->amps),
                ),
                source: $rating->source,
                fixes: array_map(
                    static fn(string $how, string $words): Fix => new Fix(
                        "{$name} lies {$words}",
                        SetCable::payload(cable: $laid->id, laid: $how),
                    ),
                    array_keys(self::LAYINGS),
                    self::LAYINGS,
                ),
            );
        }
        $amps = round($result->openAmps, 4);
        if ($rating->amps === null || ($rating->hot && $amps <= $rating->amps)) {
            $findings[] = $this->rule('capacity-unknown')->open(
                place: $place,
                title: $rating->hot
                    ? "{$name}: the air is warmer than the tables cover"
                    : "{$name}: no capacity is known for {$cable->conductor->label()}",
                detail: $rating->hot
                    ? sprintf(
                        'Judged at 50 °C: %g A. Ask the cable’s maker, or lay it where it is cooler.',
                        $rating->amps ?? 0.0,
                    )
                    : 'The tables do not cover this size; ask the cable’s maker.',
            );
        } elseif ($amps > $rating->amps) {
            $findings[] = $this->rule('cable-amps')->stop(
                place: $place,
                title: sprintf('%s: %.1f A, rated %g A', $name, $amps, $rating->amps),
                detail: self::when($result),
                number: $amps,
                limit: $rating->amps,
                source: $rating->source,
                fixes: self::thicker($job, $laid, $cable, max($amps, Guard::for($job->plan, $laid)->amps)),
            );
        }

        return $findings;
    }

    private static function when(CableResult $result): string
    {
        return match ($result->when) {
            '' => 'The cable gets warm.',
            'charging' => 'That much flows while the battery charges; the cable gets warm.',
            'lowest' => 'That much flows when the battery is nearly empty; the cable gets warm.',
            default => 'That much flows when feed ' .
                strtoupper($result->when) .
                ' is open: nobody sees a dead feed, but the cable gets warm.',
        };
    }

    /** @return list<Fix> the smallest cable with as many cores that is rated for so many amps there */
    public static function thicker(JudgedJob $job, LaidCable $laid, Cable $now, float $amps): array
    {
        $may = static fn(Cable $c): float => CableRating::for($job->plan, $laid, $c)->amps ?? 0.0;
        $cable = null;
        if (!$laid->existing) {
            $cable = $job->smallest(
                Cable::class,
                static fn(Cable $c): bool => $c->cores >= $now->cores &&
                    $c->conductor->system === $now->conductor->system &&
                    $may($c) >= $amps,
                static fn(Cable $c): float => $may($c) + $c->cores * 1e-3,
            );
        }
        if ($cable === null) {
            return [];
        }

        return [
            new Fix(
                strtoupper($laid->id) . ' in ' . $cable->conductor->label(),
                SetCable::payload(cable: $laid->id, kit: $cable->id()),
            ),
        ];
    }
}
