<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Protection;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\PlannerLimit;
use EmberDusk\Checks\Rule;
use EmberDusk\Kit\Cable;
use EmberDusk\Plan\CableRating;
use EmberDusk\Plan\Changes\Wires\SetCable;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\Severity;

/**
 * A cable is protected when its fuse <= its capacity and 1.25 x load <= fuse; without a fuse the supply's overload current counts. At a battery's
 * tap there is always a fuse (docs/model.md 7).
 */
final readonly class Fusing extends Check
{
    private const BLADES = 'blade fuses ISO 8820; ampacity as in the conductor’s own source';

    public function rules(): array
    {
        return [
            new Rule(
                'cable-protection',
                'cable',
                'a cable without a fuse carries the overload current of its supply; with an assumed current (1.5 times the rating) it is a warning',
                'BS 7671 tables 4F3A and 4D5, from memory',
                binds: PlannerLimit::Cable,
            ),
            new Rule(
                'fuse-large',
                'cable',
                'the fuse of a cable is no larger than the cable’s ampacity',
                'ISO 8820, from memory',
                binds: PlannerLimit::Cable,
            ),
            new Rule(
                'fuse-small',
                'cable',
                'a fuse is at least 1.25 times the current',
                Rule::PRACTICE,
                binds: PlannerLimit::Cable,
            ),
            new Rule(
                'tap-fuse',
                'cable',
                'a cable that leaves a battery has a fuse, within 0.18 m (7 in)',
                'ABYC E-11, from memory',
                binds: PlannerLimit::Cable,
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        foreach ($job->cables() as $id => $result) {
            $laid = $job->plan->cables[$id];
            $cable = $job->plan->cable($laid->kit);
            $rating = CableRating::for($job->plan, $laid);
            if ($cable !== null && $rating->amps !== null) {
                array_push($findings, ...$this->cable($job, $laid, $cable, $rating, round($result->openAmps, 4)));
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function cable(JudgedJob $job, LaidCable $laid, Cable $cable, CableRating $rating, float $load): array
    {
        $guard = Guard::for($job->plan, $laid);
        $capacity = $rating->amps ?? 0.0;
        $name = strtoupper($laid->id);
        $place = new FindingPlace(JobStage::Wire, $laid->id);
        $own = $job->plan->fuse($laid->fuse)?->amps;
        $bare = $guard->battery && $laid->from === $guard->supply && $own === null;
        $small = $own !== null && Guard::needs($load) > $own;
        // An overloaded cable is reported as such; its protection follows from the thicker one.
        $told = $load > $capacity && $guard->fusedAt === null;
        if (!$bare && ($told || (!$small && $guard->amps <= $capacity))) {
            return [];
        }
        $take = self::take($job, $laid, $capacity, $load);
        $none = $take === [] && $job->shelf !== null ? ' No fuse on the shelf meets both: choose a thicker cable.' : '';
        if ($bare) {
            return [
                $this->rule('tap-fuse')->stop(
                    place: $place,
                    title: "{$name} leaves the battery without a fuse",
                    detail: 'A bank can push hundreds of amps into a short. A fuse within 0.18 m (7 in) of the tap, before anything else is joined.' .
                        $none,
                    fixes: $take,
                ),
            ];
        }
        if ($small) {
            return [
                $this->rule('fuse-small')->watch(
                    place: $place,
                    title: sprintf('%s: a fuse of %g A blows in use', $name, $own),
                    detail: sprintf(
                        '%.2f A flow; a fuse carries that continuously from %.2f A on.%s',
                        $load,
                        Guard::needs($load),
                        $none,
                    ),
                    number: Guard::needs($load),
                    limit: $own,
                    fixes: $take,
                ),
            ];
        }
        $thicker = CableCapacity::thicker($job, $laid, $cable, $guard->amps);
        if ($guard->fusedAt !== null) {
            return [
                $this->rule('fuse-large')->stop(
                    place: $place,
                    title: sprintf('%s: fuse %g A, cable rated %g A', $name, $guard->amps, $capacity),
                    detail: "The fuse protects the cable: it must blow first.{$none}",
                    number: $guard->amps,
                    limit: $capacity,
                    source: self::BLADES,
                    fixes: [...$take, ...$thicker],
                ),
            ];
        }
        $sure = $guard->stated || $guard->rated > $capacity;

        return [
            $this->rule('cable-protection')->finding(
                severity: $sure ? Severity::Stop : Severity::Watch,
                place: $place,
                title: sprintf('%s is not protected by %s', $name, strtoupper((string) $guard->supply)),
                detail: sprintf(
                    'Overload current of the supply: %.1f A%s; %s is rated %g A there. A thicker cable, or a fuse of at most %g A at its start.%s',
                    $guard->amps,
                    $guard->stated ? '' : ', as is assumed',
                    $cable->conductor->label(),
                    $capacity,
                    $capacity,
                    $none,
                ),
                number: $guard->amps,
                limit: $capacity,
                source: $rating->source,
                fixes: [...$thicker, ...$take],
            ),
        ];
    }

    /** @return list<Fix> the largest fuse that protects the cable and carries the load */
    private static function take(JudgedJob $job, LaidCable $laid, float $capacity, float $load): array
    {
        $fuse = Guard::fuse($job, $laid, $capacity, $load);
        if ($fuse === null) {
            return [];
        }

        return [
            new Fix(
                'Fuse ' . strtoupper($laid->id) . ' with ' . sprintf('%g A', $fuse->amps),
                SetCable::payload(cable: $laid->id, fuse: $fuse->id()),
            ),
        ];
    }
}
