<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Strip;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\CutMarks;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** Everything that a run needs before it can be computed, found in the plan. Pixels need a board for their power only where a cable to them begins at it. */
final readonly class WiredRun
{
    /**
     * @param  LaidCable|null  $trunk  from supply to controller or board; null for pixels without a board or with one that has no supply cable
     * @param  non-empty-array<string, LaidCable>  $tails by feed id
     */
    private function __construct(
        public Run $run,
        public Strip $strip,
        public CutMarks $marks,
        public Supply $supply,
        public ?Controller $controller,
        public ?LaidCable $trunk,
        public array $tails,
    ) {}

    /** The parts; null while one is lacking or short of cores. */
    public static function for(Plan $plan, Run $run): ?self
    {
        $strip = $plan->strip($run->strip);
        $marks = $plan->of($run)->cutMarks();
        $supply = $plan->supply($run->supply);
        $tails = self::tails($plan, $run);
        if (
            $strip === null ||
            $marks === null ||
            $supply === null ||
            $tails === [] ||
            self::lacking($plan, $run) !== [] ||
            self::short($plan, $run) !== []
        ) {
            return null;
        }

        $trunk = $plan->ways()->cableTo($run->controller ?? '');
        $controller = $plan->controller($run->controller);
        if (!$strip->switched() && ($controller?->pixels === null || $trunk === null)) {
            $controller = $trunk = null;
        }

        return new self(
            run: $run,
            strip: $strip,
            marks: $marks,
            supply: $supply,
            controller: $controller,
            trunk: $trunk,
            tails: $tails,
        );
    }

    /** @return list<string> missing kit: "a supply" */
    public static function lacking(Plan $plan, Run $run): array
    {
        $switched = $plan->strip($run->strip)?->switched() ?? true;
        $through = $switched || in_array($run->controller, $plan->ways()->startsOf($run), true);

        return array_values(
            array_filter([
                $plan->strip($run->strip) === null ? 'a strip' : null,
                $plan->supply($run->supply) === null ? 'a supply' : null,
                $switched && $plan->controller($run->controller) === null ? 'a controller' : null,
                ($through && $plan->ways()->cableTo($run->controller ?? '') === null) ||
                count(self::tails($plan, $run)) < max(1, count($plan->ways()->feedsOf($run)))
                    ? 'cables'
                    : null,
            ]),
        );
    }

    /** @return array<string, array{int, int}> cables and controllers with fewer cores or channels than the strip asks for: has, needs */
    public static function short(Plan $plan, Run $run): array
    {
        $strip = $plan->strip($run->strip);
        $channels = count($strip->channels ?? []);
        $needs = [];
        foreach (array_keys(self::tails($plan, $run)) as $feed) {
            $needs += array_fill_keys(array_keys($plan->ways()->wayTo($feed)), $channels + 1);
        }
        if ($plan->ways()->cableTo($run->controller ?? '') !== null) {
            foreach (array_keys($plan->ways()->wayTo($run->controller ?? '')) as $id) {
                $needs[$id] = 2;
            }
        }
        $short = [];
        foreach ($needs as $id => $cores) {
            $has = $plan->cable($plan->cables[$id]->kit)->cores ?? 0;
            if ($has < $cores) {
                $short[$id] = [$has, $cores];
            }
        }
        $controller = $plan->controller($run->controller);
        if ($controller !== null && $strip?->switched() === true && $controller->channels < $channels) {
            $short[$run->controller ?? ''] = [$controller->channels, $channels];
        }

        return $short;
    }

    /** @return array<string, LaidCable> by feed id */
    private static function tails(Plan $plan, Run $run): array
    {
        $tails = [];
        foreach ($plan->ways()->feedsOf($run) as $feed) {
            $tail = $plan->ways()->cableTo($feed->id);
            if ($tail !== null) {
                $tails[$feed->id] = $tail;
            }
        }

        return $tails;
    }
}
