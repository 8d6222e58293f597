<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Strip;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\CutMarks;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** Everything that a run needs before it can be computed, found in the plan. */
final readonly class Parts
{
    /** @param non-empty-array<string, LaidCable> $tails by feed id */
    private function __construct(
        public Strip $strip,
        public CutMarks $marks,
        public Supply $supply,
        public Controller $controller,
        public LaidCable $trunk,
        public array $tails,
    ) {}

    /**
     * The parts, or in words what is missing: "a supply", "a cable with 3 cores for K2".
     *
     * @return self|non-empty-list<string>
     */
    public static function of(Plan $plan, Run $run): self|array
    {
        $strip = $plan->strip($run->strip);
        $marks = $plan->cutMarks($run);
        $supply = $plan->supply($run->supply);
        $controller = $plan->controller($run->controller);
        $trunk = $plan->cableTo($run->controller ?? '');
        $tails = [];
        $bare = [];
        foreach ($plan->feedsOf($run) as $feed) {
            $tail = $plan->cableTo($feed->id);
            if ($tail === null) {
                $bare[] = $feed->id;
            } else {
                $tails[$feed->id] = $tail;
            }
        }
        if ($strip !== null && $marks !== null && $supply !== null && $controller !== null && $trunk !== null && $tails !== [] && $bare === []) {
            $short = self::tooFew($plan, $strip, $controller, $trunk, $tails);

            return $short === [] ? new self($strip, $marks, $supply, $controller, $trunk, $tails) : $short;
        }

        return array_values(array_filter([
            $strip === null ? 'a strip' : null,
            $supply === null ? 'a supply' : null,
            $controller === null ? 'a controller' : null,
            $trunk === null || $bare !== [] || $tails === [] ? 'cables' : null,
        ])) ?: ['a part'];
    }

    /**
     * @param  non-empty-array<string, LaidCable>  $tails
     * @return list<string>
     */
    private static function tooFew(Plan $plan, Strip $strip, Controller $controller, LaidCable $trunk, array $tails): array
    {
        $channels = count($strip->channels);
        $short = [];
        if ($controller->channels < $channels) {
            $short[] = "a controller with {$channels} channels";
        }
        foreach ([$trunk->id => [$trunk, 2]] + array_map(static fn (LaidCable $c): array => [$c, $channels + 1], array_column($tails, null, 'id')) as $id => [$cable, $cores]) {
            $kit = $plan->cable($cable->kit);
            if ($kit instanceof Cable && $kit->cores < $cores) {
                $short[] = "{$cores} cores in ".strtoupper((string) $id);
            }
        }

        return $short;
    }
}
