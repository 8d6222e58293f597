<?php

declare(strict_types=1);

namespace EmberDusk\Rates;

use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** Units of a run for the table of times: metres, sections, ends, tests. */
final readonly class RunUnits
{
    /** Kinds of step that a choice of wiring moves: each part of a run is tested, cut and sealed automatically. */
    public const MOVED = ['settings', 'loose', 'cut', 'second', 'seal'];

    /** @return array<string, float> by kind of StepMinutes::MINUTES; joints, units and cables are counted where they are */
    public static function for(Plan $plan, Run $run): array
    {
        $metres = $run->length();
        $sections = (float) count($run->sections);
        $pixels = BenchSettings::ofRun($plan, $run);
        $sealed = $plan->making($run)->seal !== '' || $plan->damp($run);

        return [
            'dry' => $metres,
            ...$pixels === [] ? [] : ['settings' => (float) count($pixels)],
            'loose' => 1.0,
            'cut' => $sections,
            'second' => 1.0,
            ...in_array('profile', $run->mounting, true)
                ? ['profile' => $metres, 'diffuser' => $metres]
                : ['stick' => $metres],
            ...$sealed ? ['seal' => 2.0 * $sections] : [],
        ];
    }
}
