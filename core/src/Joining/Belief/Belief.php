<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Belief;

use Closure;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Task;

/**
 * Probabilities after the answers of a run: cases with no fault, one missed join, one fault, two faults, or an unlisted cause. Each case is
 * simulated over the answers; a fixed case continues without its fault.
 *
 * Priors and likelihoods: docs/model.md 11, common practice, no source.
 */
final readonly class Belief
{
    private const NONE = 0.55;

    private const MISSED = 0.05;

    private const SINGLES = 0.35;

    private const PAIRS = 0.04;

    private const UNLISTED = 0.01;

    /** Of an answer in a world that foretells it, in one that foretells what hurried eyes confuse with it, in any other, in the one not listed. */
    private const RIGHT = 0.95;

    private const CONFUSED = 0.04;

    private const WRONG = 0.01;

    private const FLAT = 0.2;

    /** Two faults at the same time are thought of once all single ones together are below this. */
    private const OPEN_PAIRS = 0.2;

    /**
     * @param  array<string, float>  $suspects  share by suspect key, of all worlds that hold it
     * @param  float  $right  share of the worlds with nothing wrong
     * @param  float  $missed  of the one with a plain miss
     * @param  float  $unlisted  of something that is not listed
     */
    private function __construct(
        public array $suspects,
        public float $right,
        public float $missed,
        public float $unlisted,
    ) {}

    /**
     * @param  array<string, Suspect>  $suspects  by key
     * @param  list<Evidence>  $evidence
     * @param  Closure(Task): list<Suspect>  $of possible faults of a task
     */
    public static function from(array $suspects, array $evidence, Closure $of): self
    {
        $shows = self::shows($evidence, $of);
        $keys = array_keys($suspects);
        $worlds = [
            ['', self::NONE * self::run([], $evidence, $shows)],
            ['missed', self::MISSED * self::run(['missed' => true], $evidence, $shows)],
        ];
        $singles = 0.0;
        foreach ($keys as $key) {
            $share = (self::SINGLES / max(1, count($keys))) * self::run([$key => true], $evidence, $shows);
            $worlds[] = [$key, $share];
            $singles += $share;
        }
        $unlisted = self::UNLISTED * self::FLAT ** count($evidence);
        $total = array_sum(array_column($worlds, 1)) + $unlisted;
        if ($singles < self::OPEN_PAIRS * $total) {
            $pairs = (count($keys) * (count($keys) - 1)) / 2;
            foreach ($keys as $n => $one) {
                foreach (array_slice($keys, $n + 1) as $other) {
                    $share = (self::PAIRS / $pairs) * self::run([$one => true, $other => true], $evidence, $shows);
                    $worlds[] = ["{$one} {$other}", $share];
                    $total += $share;
                }
            }
        }
        $total = max($total, 1e-300);
        $held = array_fill_keys($keys, 0.0);
        foreach ($worlds as [$world, $share]) {
            foreach (explode(' ', $world) as $key) {
                if (isset($held[$key])) {
                    $held[$key] += $share / $total;
                }
            }
        }

        return new self($held, $worlds[0][1] / $total, $worlds[1][1] / $total, $unlisted / $total);
    }

    /**
     * Expected observation of each fault at each answered step.
     *
     * @param  list<Evidence>  $evidence
     * @param  Closure(Task): list<Suspect>  $of
     * @return array<int, array<string, Observation>> by number of the answer and suspect key
     */
    private static function shows(array $evidence, Closure $of): array
    {
        $shows = [];
        $known = [];
        foreach ($evidence as $n => $e) {
            $shows[$n] = [];
            if ($e->task === null || $e->step === null) {
                continue;
            }
            foreach ($known[$e->task->id()] ??= $of($e->task) as $suspect) {
                $lamp = $e->step->watches === $suspect->device && $e->step->expect !== null;
                $shown = $suspect->shows[$e->step->kind] ?? ($lamp ? $suspect->shows[Suspect::LAMP] ?? null : null);
                if ($shown !== null) {
                    $shows[$n][$suspect->key()] = $shown;
                }
            }
        }

        return $shows;
    }

    /**
     * Likelihood of all answers in a world.
     *
     * @param  array<string, true>  $world
     * @param  list<Evidence>  $evidence
     * @param  array<int, array<string, Observation>>  $shows
     */
    private static function run(array $world, array $evidence, array $shows): float
    {
        $likelihood = 1.0;
        $missed = isset($world['missed']);
        foreach ($evidence as $n => $e) {
            $seen = $e->seen;
            if ($seen === null) {
                $likelihood *= isset($world[$e->mended]) === $e->wasSo ? self::RIGHT : self::CONFUSED;
                if ($e->wasSo) {
                    unset($world[$e->mended]);
                }

                continue;
            }
            $foretold = Observation::Expected;
            foreach ($shows[$n] as $key => $shown) {
                if (isset($world[$key])) {
                    $foretold = $shown;
                    break;
                }
            }
            // A plain miss is missed once, and then no more.
            if ($missed && $e->step?->opened !== '' && $seen !== Observation::Expected) {
                $foretold = $seen;
                $missed = false;
            }
            $likelihood *= match (true) {
                $foretold === $seen => self::RIGHT,
                $seen === Observation::Several, $foretold->confusable($seen) => self::CONFUSED,
                default => self::WRONG,
            };
        }

        return $likelihood;
    }
}
