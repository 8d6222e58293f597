<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Checks\Cable\Drop;
use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Light\Evenness;
use EmberDusk\Checks\Light\Seam;
use EmberDusk\Checks\PlannerLimit;
use EmberDusk\Checks\Registry;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\FixtureResult;
use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Circuit\States;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Refusal;
use EmberDusk\Values\Severity;

/**
 * A plan held against the job's limits: solved whole at full light, nominal values, on a battery also empty and on charge; each figure rounded to 1e-4
 * of its unit.
 */
final readonly class PlanJudge
{
    /** Penalty factor for failures without a measure. */
    private const FAR = 10.0;

    /** @var list<Check> */
    private array $checks;

    /** @param  list<Check>|null  $checks  that bind; null: those of kit and circuit */
    public function __construct(?array $checks = null)
    {
        $this->checks = $checks ?? Registry::circuit();
    }

    /**
     * @param  list<Run>  $runs  of one island
     * @param  bool  $whole continue with open feeds after a failure, to report everything
     */
    public function judge(Plan $plan, array $runs, bool $whole = false): Judgement
    {
        $evenness = 1.0;
        $darkest = $runs[0]->id ?? '';
        $results = [];
        try {
            $islands = self::islands($plan, $runs);
            foreach ($islands as $island) {
                $results += (new Engine($plan))->planned($island);
            }
            $broken = self::broken($plan, $results, $this->checks);
            foreach ($broken === [] || $whole ? $islands : [] as $island) {
                $states = States::all($plan, $island);
                if (States::swings($plan, $island)) {
                    $results = (new Engine($plan))->swinging($island, $results);
                }
                if ($states !== []) {
                    foreach (array_keys($island->parts + $island->fixtures) as $id) {
                        $results[$id] = $results[$id]->opened($states);
                    }
                }
            }
            if ($broken === [] || $whole) {
                $broken = self::broken($plan, $results, $this->checks);
            }
        } catch (Refusal $t) {
            return new Judgement([new BrokenLimit(PlannerLimit::Drop, $t->getMessage(), self::FAR)], 0.0, $darkest);
        }
        foreach ($results as $id => $result) {
            if ($result instanceof RunResult && $result->evenness() < $evenness) {
                [$evenness, $darkest] = [$result->evenness(), (string) $id];
            }
        }

        return new Judgement($broken, $evenness, $darkest);
    }

    /**
     * The limits of light and volts that solved runs do not hold.
     *
     * @param  array<string, RunResult|FixtureResult>  $results
     * @return list<BrokenLimit>
     */
    public static function light(Plan $plan, array $results): array
    {
        return self::broken($plan, $results, [new Evenness(), new Seam(), new Drop()]);
    }

    /**
     * Stops of the checks, and warnings that the planner can resolve.
     *
     * @param  array<string, RunResult|FixtureResult>  $results
     * @param  list<Check>  $checks
     * @return list<BrokenLimit>
     */
    private static function broken(Plan $plan, array $results, array $checks): array
    {
        $job = JudgedJob::plan($plan, $results);
        $broken = [];
        foreach ($checks as $check) {
            $binds = array_column($check->rules(), 'binds', 'code');
            foreach ($check->check($job) as $finding) {
                $limit = $binds[$finding->code] ?? null;
                if (
                    $finding->severity === Severity::Stop ||
                    ($limit !== null && $finding->severity === Severity::Watch)
                ) {
                    $broken[] = new BrokenLimit(
                        $limit ?? PlannerLimit::Other,
                        "{$finding->title}. {$finding->detail}",
                        $finding->excess() ?? self::FAR,
                        $finding->code,
                        $finding->place->id,
                    );
                }
            }
        }

        return $broken;
    }

    /**
     * @param  list<Run>  $runs
     * @return list<Island>
     */
    private static function islands(Plan $plan, array $runs): array
    {
        $ids = array_fill_keys(array_map(static fn(Run $r): string => $r->id, $runs), true);
        $islands = array_values(
            array_filter(Island::all($plan), static fn(Island $i): bool => array_intersect_key($i->parts, $ids) !== []),
        );
        foreach ($runs as $run) {
            if (array_filter($islands, static fn(Island $i): bool => isset($i->parts[$run->id])) === []) {
                (new Engine($plan))->islandOf($run);
            }
        }

        return $islands;
    }
}
