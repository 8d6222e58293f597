<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Parts;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\Changes\Kit\SetOwned;
use EmberDusk\Plan\Changes\Kit\SetSpare;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** Items that would silently count as 0 in the quote: missing prices or rates, free work, unused kit. */
final readonly class PriceFindings extends Check
{
    public function rules(): array
    {
        return [
            new Rule('currency', 'part', 'every price is in the job’s currency or has a rate', Rule::OWN),
            new Rule('no-price', 'part', 'all kit of the job has a price', Rule::OWN),
            new Rule('free-work', 'job', 'the hourly rate is above 0', Rule::OWN),
            new Rule('unused', 'part', 'the client’s kit and the spares are used', Rule::OWN),
        ];
    }

    public function check(JudgedJob $job): array
    {
        if (!$job->state->priced) {
            return $this->unused($job->state);
        }

        return [...$this->prices($job->state), ...$this->work($job->state), ...$this->unused($job->state)];
    }

    /** @return list<Finding> */
    private function prices(JobState $state): array
    {
        $findings = [];
        $terms = $state->plan->terms;
        $used = $state->plan->kitInUse();
        foreach ($state->plan->kit as $id => $kit) {
            $foreign = $terms->foreign($kit);
            if ($foreign !== null) {
                $findings[] = $this->rule('currency')->watch(
                    place: new FindingPlace(JobStage::Parts, $id),
                    title: "{$kit->entry->name()} is priced in {$foreign}",
                    detail: "The job uses {$terms->currency}, so it counts as 0 in every total. Give the job a " .
                        "rate for {$foreign} at the quote, or give the shelf a price in {$terms->currency}.",
                );
            } elseif (
                $terms->price($kit) === null &&
                isset($used[$id]) &&
                !isset($state->plan->owned[$id]) &&
                $kit->beside()?->clients !== true
            ) {
                $findings[] = $this->rule('no-price')->watch(
                    place: new FindingPlace(JobStage::Parts, $id),
                    title: "{$kit->entry->name()} has no price",
                    detail: 'It counts as 0 in every total, and no proposal uses it. Give it a price on the kit shelf and update the job’s copy.',
                );
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function work(JobState $state): array
    {
        if ($state->plan->terms->hourRate > 0 || $state->plan->runs === []) {
            return [];
        }

        return [
            $this->rule('free-work')->watch(
                place: new FindingPlace(JobStage::Parts),
                title: 'Hourly rate is 0',
                detail: 'The quote has parts only, and proposals do not distinguish between one joint and ' .
                    'twenty. Set the price of an hour where the quote is.',
            ),
        ];
    }

    /** @return list<Finding> */
    private function unused(JobState $state): array
    {
        $plan = $state->plan;
        $idle = array_diff_key($plan->owned + $plan->spares, $plan->kitInUse());
        if ($idle === []) {
            return [];
        }
        // Consumables: clips, solder, silicone.
        foreach ($state->schedule()->parts->parts as $part) {
            unset($idle[$part->key]);
        }
        $findings = [];
        foreach (array_keys($idle) as $id) {
            $owned = isset($plan->owned[$id]);
            $name = ($plan->kit[$id] ?? null)?->entry->name() ?? $id;
            $detail = 'The plan uses none, so no spare is bought. Choose it first, or remove the spares.';
            if ($owned) {
                $detail =
                    'It saves nothing until the plan uses it. Choose it at Kit, or remove it from the client’s list.';
            }
            $findings[] = $this->rule('unused')->open(
                place: new FindingPlace(JobStage::Parts, $id),
                title: $owned ? "The client’s {$name} is not used" : "{$name}: spares without use",
                detail: $detail,
                fixes: [
                    $owned
                        ? new Fix('Remove it from the client’s list', SetOwned::payload(kit: $id, count: 0))
                        : new Fix('Remove the spares', SetSpare::payload(kit: $id, count: null)),
                ],
            );
        }

        return $findings;
    }
}
