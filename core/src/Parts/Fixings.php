<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** What holds, cleans and seals a run, from the way it is mounted. */
final readonly class Fixings
{
    /** Metres between anchors: 0.6 to 0.9 (common practice, no source). */
    public const ANCHOR = 0.75;

    /** Metres between ties under what moves (common practice, no source). */
    private const TIE = 0.3;

    /** Metres between pads under what comes off again (common practice, no source). */
    private const PAD = 0.3;

    public function __construct(private Plan $plan, private Uses $uses, private Wanted $wanted) {}

    public function of(Run $run): void
    {
        $metres = $run->length();
        $name = $run->name();
        if (array_intersect($run->mounting, ['profile', 'outdoors']) !== []) {
            $this->want(
                'clips',
                'Fixing',
                array_sum(array_map(static fn(float $l): float => ceil($l / self::ANCHOR) + 1, $run->sections)),
                'piece',
                sprintf('%s, an anchor every %.2f m', $name, self::ANCHOR),
                $run,
            );
        } elseif (in_array('moving', $run->mounting, true)) {
            $this->want(
                'ties',
                'Fixing',
                ceil($metres / self::TIE),
                'piece',
                sprintf('%s moves: a tie every %.1f m', $name, self::TIE),
                $run,
            );
        } elseif (in_array('removable', $run->mounting, true)) {
            $this->want(
                'pads',
                'Fixing',
                ceil($metres / self::PAD),
                'piece',
                sprintf('%s comes off again: a pad every %.1f m', $name, self::PAD),
                $run,
            );
        }
        // What does not go into profile holds by its own adhesive.
        if (!in_array('profile', $run->mounting, true)) {
            $this->want('alcohol', 'Cleaning', $metres, 'm', "{$name}, what it sticks to is cleaned", $run);
        }
        $ends = 2.0 * count($run->sections);
        $seal = $this->plan->making($run)->seal;
        if ($seal === 'glue') {
            $this->want('glue', 'Sealing', $ends, 'end', "{$name}: its ends are sealed with glue and tape", $run);
            $this->want('tape', 'Sealing', $ends, 'end', "{$name}: tape over the glue", $run);
        } elseif ($seal === 'silicone' || $this->plan->damp($run)) {
            $this->want(
                'silicone',
                'Sealing',
                $ends,
                'end',
                $this->plan->damp($run) ? "{$name} lies damp: its ends are sealed" : "{$name}: its ends are sealed",
                $run,
            );
        }
    }

    private function want(string $use, string $group, float $count, string $unit, string $why, Run $run): void
    {
        $kit = $this->uses->consumable($use);
        $this->wanted->add($kit, $group, $count, $unit, $why, [$run->id], each: Uses::of($kit));
    }
}
