<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Control;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Control\Running;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Show;
use EmberDusk\Plan\Trigger;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;

/** Shows: how fast they flash, whether they end, whether anything is left of them; light of a vehicle on the road. */
final readonly class PlayFindings extends Check
{
    /** Flashes a second at most. */
    private const FLASHES = 3.0;

    private const WCAG = 'WCAG 2.2, 2.3.1';

    public function rules(): array
    {
        return [
            new Rule('show-flash', 'show', 'no light flashes more than three times a second', self::WCAG),
            new Rule('show-endless', 'show', 'a show that starts automatically also ends', Rule::PRACTICE),
            new Rule('show-empty', 'show', 'a show has something to show', Rule::OWN),
            new Rule(
                'road-light',
                'job',
                'vehicle lamps keep legal colours and do not flash on the road',
                Rule::PRACTICE,
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        foreach ($job->plan->shows as $show) {
            $findings = [...$findings, ...$this->show($job->plan, $show)];
        }

        return [...$findings, ...$this->road($job->plan)];
    }

    /** @return list<Finding> */
    private function show(Plan $plan, Show $show): array
    {
        $running = new Running($plan, $show);
        $at = new FindingPlace(JobStage::Scenes, $show->id);
        $round = $running->round();
        if ($running->lights() === [] || $round === 0.0) {
            $detail =
                $running->lights() === []
                    ? 'Its scenes or lights were deleted: choose others, or remove it.'
                    : 'All its steps have no duration: set how long each scene lasts.';

            return [
                $this->rule('show-empty')->open(place: $at, title: "“{$show->name}” shows nothing", detail: $detail),
            ];
        }
        $findings = [];
        $flashes = $running->flashes();
        if ($flashes > self::FLASHES) {
            $findings[] = $this->rule('show-flash')->stop(
                place: $at,
                title: sprintf('“%s” flashes %.3g times a second', $show->name, $flashes),
                detail: 'Flashing can cause seizures, and can make rotating machines look still. Give each change more time.',
                number: $flashes,
                limit: self::FLASHES,
            );
        }
        $starts = array_filter($plan->triggers, static fn(Trigger $t): bool => $t->plays === $show->id && $t->timed());
        $ends = array_filter($plan->triggers, static fn(Trigger $t): bool => $t->timed() && $t->plays !== $show->id);
        if ($starts !== [] && $ends === [] && $running->ends() === null) {
            $findings[] = $this->rule('show-endless')->watch(
                place: $at,
                title: "“{$show->name}” starts automatically and never ends",
                detail: 'Let it end after some rounds, or switch everything off at a set time.',
            );
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function road(Plan $plan): array
    {
        $wired = array_filter($plan->triggers, static fn(Trigger $t): bool => $t->wired());
        if ($wired === [] && $plan->position?->road !== true) {
            return [];
        }
        $moves = array_filter($plan->shows, static fn(Show $s): bool => (new Running($plan, $s))->flashes() > 0);

        return [
            $this->rule('road-light')->watch(
                place: new FindingPlace(JobStage::Scenes),
                title: 'Lights of a vehicle that uses the road',
                detail: 'Lamps that are seen from outside keep the legal colours of their side and do not flash or run on public roads. ' .
                    ($moves === []
                        ? ''
                        : 'Keep ' .
                            implode(', ', array_map(static fn(Show $s): string => "“{$s->name}”", $moves)) .
                            ' for use while parked, off the road. ') .
                    'Local rules decide; the vehicle’s own required lamps are never controlled from here.',
            ),
        ];
    }
}
