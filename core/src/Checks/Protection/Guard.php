<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Protection;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Kit\Fuse;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;

/**
 * Overcurrent protection of a cable: the smallest fuse in progress from the supply, or the supply's overload current (assumed if its instructions are
 * silent). Amps.
 */
final readonly class Guard
{
    private function __construct(
        public float $amps,
        public ?LaidCable $fusedAt,
        public ?string $supply,
        public bool $battery,
        public float $rated,
        public bool $stated,
    ) {}

    /** Factor of a fuse's rating over its continuous current (common practice, no source). */
    private const MARGIN = 1.25;

    /** Amps that a fuse must have at least for so many that flow. */
    public static function needs(float $load): float
    {
        return round(self::MARGIN * $load, 4);
    }

    public static function for(Plan $plan, LaidCable $cable): self
    {
        $least = null;
        $at = null;
        $seen = [];
        for ($on = $cable; $on !== null && !isset($seen[$on->id]); $on = $plan->ways()->cableTo($on->from)) {
            $seen[$on->id] = true;
            $fuse = $plan->fuse($on->fuse)?->amps;
            if ($fuse !== null && ($least === null || $fuse < $least)) {
                [$least, $at] = [$fuse, $on];
            }
            $root = $on->from;
            // A converter starts another circuit.
            if (isset($plan->supplies[$root])) {
                break;
            }
        }
        $supply = $plan->supply($root);

        return new self(
            min($least ?? INF, $supply->overloadAmps ?? INF),
            $least !== null && $least <= ($supply->overloadAmps ?? INF) ? $at : null,
            $supply === null ? null : $root,
            $supply?->battery() ?? false,
            $supply->ratedAmps ?? INF,
            $supply->overloadStated ?? true,
        );
    }

    /** The largest fuse on the shelf that protects so many amps of cable and holds the load with its margin (docs/model.md 7). */
    public static function fuse(JudgedJob $job, LaidCable $laid, float $capacity, float $load): ?Fuse
    {
        $supply = $job->plan->supply($job->plan->ways()->supplyBehind($laid->from));
        $volts = $supply->charging ?? ($supply->emf ?? 0.0);

        return $job->smallest(
            Fuse::class,
            static fn(Fuse $f): bool => $f->amps <= $capacity + 1e-9 &&
                $f->amps >= self::needs($load) - 1e-9 &&
                $f->volts >= $volts,
            static fn(Fuse $f): float => -$f->amps,
        );
    }
}
