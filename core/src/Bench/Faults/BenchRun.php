<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Faults;

use EmberDusk\Bench\Meter\Reading;
use EmberDusk\Circuit\Island;
use EmberDusk\Plan\Plan;

/**
 * Simulated fault search in an island with a simulated meter. Rails and supplies vary within their tolerances by seed. The finder sees readings
 * only.
 */
final readonly class BenchRun
{
    public const MOST = 6;

    /** One reading alone proves nothing. */
    public const LEAST = 2;

    public const CONFIDENT = 0.9;

    /** Belief at which no more is read. */
    public const SURE = 0.985;

    /** @param  list<Reading>  $readings */
    private function __construct(public array $readings, public FaultBelief $belief) {}

    /**
     * @param  list<Fault>  $faults  that are put in
     *
     * @throws \EmberDusk\Values\Refusal when the faulty circuit has no solution
     */
    public static function for(
        Plan $plan,
        Island $island,
        Predictions $predictions,
        array $faults,
        int $seed,
        ReadingChooser $chooses = new NextReading(),
    ): self {
        $meter = new SimulatedMeter($plan, $island, $faults, $seed);
        $readings = [];
        $belief = FaultBelief::from($predictions, []);
        while (count($readings) < self::MOST && !self::enough($belief, $readings)) {
            $next = $chooses->next($belief, $readings);
            if ($next === null) {
                break;
            }
            $readings[] = $meter->read($next[0], $next[1]);
            $belief = FaultBelief::from($predictions, $readings);
        }

        return new self($readings, $belief);
    }

    /** Whether an installer would act on the answer: a belief of nine in ten, and for good wiring no unread fault. */
    public function confident(): bool
    {
        return $this->sure() >= self::CONFIDENT && ($this->named() !== FaultBelief::NONE || $this->belief->open === []);
    }

    /** @param  list<Reading>  $readings */
    public static function enough(FaultBelief $belief, array $readings): bool
    {
        return count($readings) >= self::LEAST &&
            $belief->open === [] &&
            $belief->classes[$belief->top()] >= self::SURE;
    }

    /** The named class and its probability. */
    public function named(): string
    {
        return $this->belief->top();
    }

    public function sure(): float
    {
        return $this->belief->classes[$this->named()];
    }
}
