<?php

declare(strict_types=1);

namespace EmberDusk\Rates;

use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** Units of a run for the table of times: metres, sections, ends, tests. */
final readonly class RunUnits
{
    /** Work that a choice of wiring moves: each part of a run is tested, cut and sealed automatically. */
    private const MOVED = [Work::Settings, Work::Loose, Work::Cut, Work::Second, Work::Seal];

    /** @return array<string, float> by kind of {@see Work}; joints, units and cables are counted where they are */
    public static function for(Plan $plan, Run $run): array
    {
        $metres = $run->length();
        $sections = (float) count($run->sections);
        $pixels = BenchSettings::ofRun($plan, $run);
        $sealed = $plan->of($run)->making()->seal !== '' || $plan->of($run)->damp();

        return [
            Work::Dry->value => $metres,
            ...$pixels === [] ? [] : [Work::Settings->value => (float) count($pixels)],
            Work::Loose->value => 1.0,
            Work::Cut->value => $sections,
            Work::Second->value => 1.0,
            ...in_array('profile', $run->mounting, true)
                ? [Work::Profile->value => $metres, Work::Diffuser->value => $metres]
                : [Work::Stick->value => $metres],
            ...$sealed ? [Work::Seal->value => 2.0 * $sections] : [],
        ];
    }

    /**
     * @param  array<string, float>  $units  of a run
     * @return array<string, float> of the work that a choice of wiring moves
     */
    public static function moved(array $units): array
    {
        return array_intersect_key($units, array_flip(array_column(self::MOVED, 'value')));
    }
}
