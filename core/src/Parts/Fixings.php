<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

use EmberDusk\Plan\Bends;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** Fixing, cleaning and sealing of a run, from its mounting. */
final readonly class Fixings
{
    /** Metres between anchors: 0.6 to 0.9 (common practice, no source). */
    public const ANCHOR = 0.75;

    /** Metres between ties under what moves (common practice, no source). */
    private const TIE = 0.3;

    /** Metres between pads of removable parts (common practice, no source). */
    private const PAD = 0.3;

    /** Clamps and edge guards of the leads of a moving part: at both ends of the moving stretch (common practice, no source). */
    private const ENDS = 2.0;

    public function __construct(private Plan $plan, private FirstForPurpose $uses, private PartsDemand $wanted) {}

    public function addRun(Run $run): void
    {
        $metres = $run->length();
        $name = $run->name();
        if (array_intersect($run->mounting, ['profile', 'outdoors']) !== []) {
            $this->want(
                use: 'clips',
                group: 'Fixing',
                count: array_sum(
                    array_map(
                        static fn(float $l): float => ceil($l / self::ANCHOR) + 1,
                        array_merge(...(new Bends($this->plan, $run))->pieces()),
                    ),
                ),
                unit: 'piece',
                why: "{$name}, an anchor every {$this->plan->terms->say(self::ANCHOR)}",
                run: $run,
            );
        } elseif (in_array('moving', $run->mounting, true)) {
            $this->want(
                use: 'ties',
                group: 'Fixing',
                count: ceil($metres / self::TIE),
                unit: 'piece',
                why: sprintf('%s moves: a tie every %.1f m', $name, self::TIE),
                run: $run,
            );
        } elseif (in_array('removable', $run->mounting, true)) {
            $this->want(
                use: 'pads',
                group: 'Fixing',
                count: ceil($metres / self::PAD),
                unit: 'piece',
                why: sprintf('%s is removable: a pad every %.1f m', $name, self::PAD),
                run: $run,
            );
        }
        if (in_array('profile', $run->mounting, true)) {
            $this->want(
                use: 'caps',
                group: 'Profile',
                count: 2.0 * count($run->sections),
                unit: 'piece',
                why: "{$name}, a cap on every end of its profile",
                run: $run,
            );
        }
        if (in_array('moving', $run->mounting, true)) {
            foreach (
                ['clamps' => 'its leads clamped at both ends', 'guards' => 'its leads through an edge at both ends']
                as $use => $why
            ) {
                $this->want(
                    use: $use,
                    group: 'Strain relief',
                    count: self::ENDS,
                    unit: 'piece',
                    why: "{$name} moves: {$why}",
                    run: $run,
                );
            }
        }
        // Strip without profile is held by its adhesive.
        if (!in_array('profile', $run->mounting, true)) {
            $this->want(
                use: 'alcohol',
                group: 'Cleaning',
                count: $metres,
                unit: 'm',
                why: "{$name}, surface cleaned",
                run: $run,
            );
        }
        $ends = 2.0 * count($run->sections);
        $seal = $this->plan->of($run)->making()->seal;
        if ($seal === 'glue') {
            $this->want(
                use: 'glue',
                group: 'Sealing',
                count: $ends,
                unit: 'end',
                why: "{$name}: its ends are sealed with glue and tape",
                run: $run,
            );
            $this->want(
                use: 'tape',
                group: 'Sealing',
                count: $ends,
                unit: 'end',
                why: "{$name}: tape over the glue",
                run: $run,
            );
        } elseif ($seal === 'silicone' || $this->plan->of($run)->damp()) {
            if ($this->plan->of($run)->damp()) {
                $why = "{$name} is in a damp place: ends sealed";
            } else {
                $why = "{$name}: its ends are sealed";
            }
            $this->want(use: 'silicone', group: 'Sealing', count: $ends, unit: 'end', why: $why, run: $run);
        }
    }

    private function want(string $use, string $group, float $count, string $unit, string $why, Run $run): void
    {
        $kit = $this->uses->consumable($use);
        $this->wanted->add(
            kit: $kit,
            group: $group,
            count: $count,
            unit: $unit,
            why: $why,
            runs: [$run->id],
            each: FirstForPurpose::for($kit),
        );
    }
}
