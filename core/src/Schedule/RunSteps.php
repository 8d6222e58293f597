<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Parts\Fixings;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Rates\JointMinutes;

/**
 * The steps of one run after another: dry run, supply, cables, loose test, profile or sticking, joints, second test, sealing,
 * curing, diffuser. What runs share, the first of them brings.
 */
final class RunSteps
{
    /** Silicone cures for a day. */
    private const CURE = 1440;

    /** @var array<string, string> the step that fixes a supply or controller */
    private array $fixed = [];

    /** @var array<string, string> the step that lays a cable */
    private array $laid = [];

    /** @var array<string, array<string, LaidCable>> cables that are laid for a run first, by run */
    private array $new = [];

    /** @param  array<string, int>  $joined  joints in the strip of a run, by run */
    public function __construct(
        private readonly Plan $plan,
        private readonly array $joined,
        private readonly StepList $list,
    ) {}

    /** @param  list<string>  $before  Returns the run's last step. */
    public function of(Run $run, array $before): string
    {
        $metres = $run->length();
        $profile = in_array('profile', $run->mounting, true);
        $making = $this->plan->making($run);
        $sections = count($run->sections);
        $dry = $this->list->ofRun(
            run: $run,
            kind: 'dry',
            title: 'dry run',
            why: 'Lay it out, plug it in, see that the connector lands where it should.',
            units: $metres,
            people: 2,
            tools: ['tape measure'],
            after: [],
        );
        $units = $this->units($run, [$dry, ...$before]);
        $cables = $this->cables($run, $units);
        $loose = $this->list->ofRun(
            run: $run,
            kind: 'loose',
            title: 'loose test',
            why: 'The whole thing is tried before anything is stuck: single channels, white, one mix.',
            units: 1,
            people: 1,
            tools: ['meter', 'bench supply'],
            caution: 'Volts and polarity by meter before the strip is on. Never connect strip to mains.',
            after: [$dry, ...$cables],
        );
        $measured = $making->cut === '' ? $profile : $making->cut === 'before';
        $fixed = $loose;
        if ($measured) {
            $fixed = $this->list->ofRun(
                run: $run,
                kind: 'cut',
                title: 'cut to measure',
                why: $profile
                    ? 'At marks only; it has to fit before it goes into profile.'
                    : 'At marks only, beforehand: measure twice.',
                units: $sections,
                people: 1,
                tools: ['scissors'],
                after: [$loose],
            );
        }
        if ($profile) {
            $fixed = $this->list->ofRun(
                run: $run,
                kind: 'profile',
                title: 'make up profile on the bench, then up with it',
                why: sprintf(
                    'Strip into profile, clips on its back every %.2f m, profile up; the diffuser comes last.',
                    Fixings::ANCHOR,
                ),
                units: $metres,
                people: 2,
                tools: ['saw', 'drill'],
                caution: 'Ladders: two people. Wear glasses at the saw.',
                after: [$fixed],
            );
        } else {
            $fixed = $this->list->ofRun(
                run: $run,
                kind: 'stick',
                title: 'clean and stick, a hand’s length at a time',
                why: 'It holds on clean ground only; no creases.',
                units: $metres,
                people: 1,
                tools: ['cleaning alcohol', 'roller'],
                caution: 'Alcohol burns: air the room, no flame.',
                after: [$fixed],
            );
        }
        if (!$measured) {
            $fixed = $this->list->ofRun(
                run: $run,
                kind: 'cut',
                title: 'cut back from the unfed end',
                why: 'At marks only; what is fixed already cannot come up short.',
                units: $sections,
                people: 1,
                tools: ['scissors'],
                after: [$fixed],
            );
        }
        $joints = RunJoints::of($this->plan, $run, $this->joined[$run->id] ?? 0, $this->new[$run->id] ?? []);
        $soldered = $joints->soldered();
        if ($joints->count === 0) {
            $made = $fixed;
        } else {
            $made = $this->list->ofRun(
                run: $run,
                kind: 'joints',
                title: $joints->words(),
                why: $soldered
                    ? 'Leads marked and tinned, both sides, then joined and cleaned with alcohol.'
                    : 'Every core by its mark, then pulled at.',
                units: $joints->minutes / JointMinutes::SOLDERED,
                people: 1,
                tools: $soldered ? ['iron at 320 °C', 'flux'] : ['crimping or screw tool'],
                caution: $soldered ? 'Flux fumes: air. Hot iron: a stand.' : 'Nothing is live while a joint is made.',
                after: [$fixed],
            );
        }
        $last = $this->list->ofRun(
            run: $run,
            kind: 'second',
            title: 'second test',
            why: 'After the joints and before sealing: what is wrong is still within reach.',
            units: 1,
            people: 1,
            tools: ['meter'],
            caution: 'At both-end feeds lift one at a time and compare.',
            after: [$made],
        );
        if ($making->seal === 'glue') {
            $last = $this->list->ofRun(
                run: $run,
                kind: 'seal',
                title: 'seal the ends with hot glue and tape',
                why: 'Set in minutes; not for where it stays wet.',
                units: 2 * $sections,
                people: 1,
                tools: ['glue gun', 'tape'],
                caution: 'Hot glue burns the skin.',
                after: [$last],
            );
        } elseif ($making->seal === 'silicone' || $this->plan->damp($run)) {
            $last = $this->list->ofRun(
                run: $run,
                kind: 'seal',
                title: 'seal the ends with silicone',
                why: 'It stays damp: silicone, a day to cure.',
                units: 2 * $sections,
                people: 1,
                tools: ['silicone'],
                caution: 'Silicone gives off acid while it cures: air.',
                after: [$last],
                wait: self::CURE,
            );
        }
        if ($profile) {
            return $this->list->ofRun(
                run: $run,
                kind: 'diffuser',
                title: 'diffuser on',
                why: 'Last, when nothing has to be reached any more.',
                units: $metres,
                people: 1,
                tools: [],
                after: [$last],
            );
        }

        return $last;
    }

    /**
     * Supply and controller, where no other run has them fixed already.
     *
     * @param  list<string>  $after
     * @return list<string> the steps after which both are there
     */
    private function units(Run $run, array $after): array
    {
        $units = array_values(array_filter([$run->supply, $run->controller]));
        $new = array_values(array_filter($units, fn(string $u): bool => !isset($this->fixed[$u])));
        if ($new !== []) {
            if (count($new) === 2) {
                $title = 'fix supply and controller';
            } else {
                if ($new[0] === $run->supply) {
                    $title = 'fix the supply';
                } else {
                    $title = 'fix the controller';
                }
            }
            $step = $this->list->ofRun(
                run: $run,
                kind: 'supply',
                title: $title,
                why: 'Cables need something to begin at.',
                units: count($new),
                people: 1,
                tools: ['drill', 'screwdriver'],
                caution: 'Leave air around a supply. Mains terminals are for a licensed person.',
                after: $after,
            );
            $this->fixed += array_fill_keys($new, $step);
        }

        return array_values(array_unique(array_map(fn(string $u): string => $this->fixed[$u], $units)));
    }

    /**
     * Cables that no other run has laid already.
     *
     * @param  list<string>  $after
     * @return list<string> the steps after which all are there
     */
    private function cables(Run $run, array $after): array
    {
        $ways = $this->plan->waysOf($run);
        $new = array_diff_key($ways, $this->laid);
        if ($new !== []) {
            $metres = array_sum(array_map(static fn(LaidCable $c): float => $c->existing ? 0.0 : $c->length, $new));
            $step = $this->list->ofRun(
                run: $run,
                kind: 'cables',
                title: 'lay cables, mark both ends',
                why: 'Mark the leads first: left, right, left along the strip.',
                units: $metres,
                people: 1,
                tools: ['cutter', 'labels'],
                caution: 'A ladder stands on firm ground and somebody holds it.',
                after: $after,
            );
            $this->laid += array_fill_keys(array_keys($new), $step);
            $this->new[$run->id] = $new;
        }
        if ($ways === []) {
            return $after;
        }

        return array_values(array_unique(array_map(fn(LaidCable $c): string => $this->laid[$c->id], $ways)));
    }
}
