<?php

declare(strict_types=1);

namespace EmberDusk\Tests;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Registry;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\Finding;
use EmberDusk\Values\NoSolution;

/** Verdicts of the solver and the checks on a circuit built part by part. */
trait CircuitVerdicts
{
    /** Everything solved: with ranges and open feeds, or as planned only. */
    public function state(bool $planned = false): JobState
    {
        return self::solved($this->plan(), $planned);
    }

    public static function solved(Plan $plan, bool $planned = false): JobState
    {
        $results = [];
        foreach (Island::all($plan) as $island) {
            try {
                $results += $planned ? (new Engine($plan))->planned($island) : (new Engine($plan))->island($island);
            } catch (NoSolution $refusal) {
                $results += array_map(static fn(): NoSolution => $refusal, $island->parts + $island->fixtures);
            }
        }
        $scenes = [];
        foreach ($plan->scenes as $id => $scene) {
            foreach (Island::all($plan) as $island) {
                $scenes[$id] = ($scenes[$id] ?? []) + (new Engine($plan))->scene($island, $scene);
            }
        }

        return new JobState(plan: $plan, results: $results, shelf: Demo::shelf(), scenes: $scenes);
    }

    /**
     * A result with that light, group by group, and nothing else of interest.
     *
     * @param  list<float>  $light
     */
    public static function lit(RunResult $of, array $light): RunResult
    {
        return new RunResult(
            pitch: $of->pitch,
            light: $light,
            volts: $of->volts,
            railAmps: $of->railAmps,
            cables: $of->cables,
            feeds: $of->feeds,
            channelAmps: $of->channelAmps,
            supplyVolts: $of->supplyVolts,
            supplyAmps: $of->supplyAmps,
            spread: [$light, $light],
            balance: $of->balance,
            loadWatts: $of->loadWatts,
            railWatts: $of->railWatts,
            iterations: $of->iterations,
            channelLight: [0 => $light],
            nominal: $of->nominal,
        );
    }

    /** @return list<Finding> of kit and circuit */
    public function judged(): array
    {
        return Registry::check(JudgedJob::for($this->state()), Registry::circuit());
    }

    /** @return list<string> severity and code of every stop and warning, without those about light */
    public function verdicts(): array
    {
        return self::said($this->judged());
    }

    /** @return list<string> the same with the ids in reverse order: s1 is s9, s2 is s8 */
    public function turned(): array
    {
        $turn = static fn(string $text): string => (string) preg_replace_callback(
            '/(?<=")([a-z])([1-9])(?=")/',
            static fn(array $m): string => $m[1] . (10 - (int) $m[2]),
            $text,
        );
        $plan = JobFile::own($turn(JobFile::write($this->plan())));
        $back = array_map(
            static fn(string $said): string => trim($turn('"' . strtr($said, [' ' => '" "']) . '"'), '"'),
            self::said(Registry::check(JudgedJob::for(self::solved($plan)), Registry::circuit())),
        );
        $back = array_map(static fn(string $said): string => strtr($said, ['" "' => ' ']), $back);
        sort($back);

        return $back;
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<string>
     */
    private static function said(array $findings): array
    {
        $said = [];
        foreach ($findings as $f) {
            if ($f->severity->value !== 'open' && !in_array($f->code, ['evenness', 'seam', 'colour-shift'], true)) {
                $said[] = "{$f->severity->value} {$f->code} {$f->place->id}";
            }
        }
        sort($said);

        return $said;
    }
}
