<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Parts;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Checks\Rule;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\Changes\Kit\SetOwned;
use EmberDusk\Plan\Changes\Kit\SetSpare;
use EmberDusk\Plan\Item;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** What would silently count as nothing in the quote: no price, no rate, work for nothing, what nothing uses. */
final readonly class PriceFindings implements Check
{
    public function rules(): array
    {
        return [
            new Rule('currency', 'part', 'every price is in the job’s currency or has a rate', Rule::OWN),
            new Rule('no-price', 'part', 'all kit of the job has a price', Rule::OWN),
            new Rule('free-work', 'job', 'an hour of work costs something', Rule::OWN),
            new Rule('unused', 'part', 'what the client has or what is taken to spare is used', Rule::OWN),
        ];
    }

    public function check(Judged $job): array
    {
        return [...self::prices($job->state), ...self::work($job->state), ...self::unused($job->state)];
    }

    /** @return list<Finding> */
    private static function prices(JobState $state): array
    {
        $findings = [];
        $terms = $state->plan->terms;
        $used = $state->plan->kitInUse();
        foreach ($state->plan->kit as $id => $kit) {
            $foreign = $terms->foreign($kit);
            if ($foreign !== null) {
                $findings[] = new Finding(
                    code: 'currency',
                    severity: Severity::Watch,
                    title: "{$kit->entry->name()} is priced in {$foreign}",
                    detail: "The job reckons in {$terms->currency}, so it counts nothing in any sum. Give the job a " .
                        "rate for {$foreign} at the quote, or give the shelf a price in {$terms->currency}.",
                    place: new Place('parts', $id),
                );
            } elseif (
                $terms->price($kit) === null &&
                isset($used[$id]) &&
                !isset($state->plan->owned[$id]) &&
                !in_array($kit->kind(), Item::CLIENTS_OWN, true)
            ) {
                $findings[] = new Finding(
                    code: 'no-price',
                    severity: Severity::Watch,
                    title: "{$kit->entry->name()} has no price",
                    detail: 'It counts nothing in any sum, and no proposal takes it. Give it a price on the kit shelf and take the shelf’s copy over.',
                    place: new Place('parts', $id),
                );
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function work(JobState $state): array
    {
        if ($state->plan->terms->hourRate > 0 || $state->plan->runs === []) {
            return [];
        }

        return [
            new Finding(
                code: 'free-work',
                severity: Severity::Watch,
                title: 'An hour of work costs nothing',
                detail: 'The quote asks for parts alone, and proposals make no difference between one joint and ' .
                    'twenty. Set the price of an hour where the quote is.',
                place: new Place('parts'),
            ),
        ];
    }

    /** @return list<Finding> */
    private static function unused(JobState $state): array
    {
        $plan = $state->plan;
        $idle = array_diff_key($plan->owned + $plan->spares, $plan->kitInUse());
        if ($idle === []) {
            return [];
        }
        // What the list alone asks for: clips, solder, silicone.
        foreach ($state->schedule()->parts->parts as $part) {
            unset($idle[$part->key]);
        }
        $findings = [];
        foreach (array_keys($idle) as $id) {
            $owned = isset($plan->owned[$id]);
            $name = ($plan->kit[$id] ?? null)?->entry->name() ?? $id;
            $detail = 'The plan asks for none, so none is bought to spare. Choose it first, or take the spares off.';
            if ($owned) {
                $detail =
                    'It saves nothing as long as the plan does not use it. Choose it at Kit, or take it off the client’s list.';
            }
            $findings[] = new Finding(
                code: 'unused',
                severity: Severity::Open,
                title: $owned ? "Nothing uses the client’s {$name}" : "Nothing uses {$name} to spare",
                detail: $detail,
                place: new Place('parts', $id),
                fixes: [
                    $owned
                        ? new Fix('Take it off the client’s list', SetOwned::payload(kit: $id, count: 0))
                        : new Fix('Take the spares off', SetSpare::payload(kit: $id, count: null)),
                ],
            );
        }

        return $findings;
    }
}
