<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Checks\Controller\ControllerAmps;
use EmberDusk\Checks\Fixture\Lamps;
use EmberDusk\Checks\Light\Seam;
use EmberDusk\Checks\Protection\Guard;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Refusal;

/** A plan held against the job's limits: solved whole at full light, nominal values, each figure rounded to 1e-4 of its unit. */
final readonly class Judge
{
    /**
     * @param  list<Broken>  $broken
     * @param  string  $darkest  the run that is least even
     */
    private function __construct(public array $broken, public float $evenness, public string $darkest) {}

    /** @param  list<Run>  $runs  of one island */
    public static function of(Plan $plan, array $runs): self
    {
        $broken = [...self::headroom($plan, $runs), ...self::controllers($plan, $runs)];
        $evenness = 1.0;
        $darkest = $runs[0]->id ?? '';
        try {
            foreach (self::islands($plan, $runs) as $island) {
                $results = Engine::planned($plan, $island);
                $found = self::island($plan, $island, $results);
                if ($found === [] && $broken === []) {
                    $found = self::cables($plan, $results, Engine::opened($plan, $island));
                }
                array_push($broken, ...$found);
                foreach ($results as $id => $result) {
                    if ($result instanceof RunResult && $result->evenness() < $evenness) {
                        [$evenness, $darkest] = [$result->evenness(), $id];
                    }
                }
            }
        } catch (Refusal $t) {
            return new self([...$broken, new Broken('drop', $t->getMessage(), 10.0)], 0.0, $darkest);
        }

        return new self($broken, $evenness, $darkest);
    }

    public function holds(): bool
    {
        return $this->broken === [];
    }

    /** @return list<string> */
    public function words(): array
    {
        return array_values(array_unique(array_map(static fn(Broken $b): string => $b->words, $this->broken)));
    }

    /**
     * By what nearest is meant: fewest limits broken, then least excess.
     *
     * @return array{int, float}
     */
    public function far(): array
    {
        return [
            count(array_unique(array_map(static fn(Broken $b): string => $b->limit, $this->broken))),
            array_sum(array_map(static fn(Broken $b): float => $b->excess, $this->broken)),
        ];
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
                Engine::islandOf($plan, $run);
            }
        }

        return $islands;
    }

    /**
     * @param  array<string, mixed>  $results
     * @return list<Broken>
     */
    private static function island(Plan $plan, Island $island, array $results): array
    {
        $broken = self::cables($plan, $results);
        foreach ($island->parts as $id => $parts) {
            $result = $results[$id] ?? null;
            if ($result instanceof RunResult) {
                array_push($broken, ...self::run($plan, $parts->run, $result));
            }
        }

        return $broken;
    }

    /** @return list<Broken> the limits of light and volts that a run does not hold */
    public static function run(Plan $plan, Run $run, RunResult $result): array
    {
        $limits = $plan->limits;
        $name = $run->name();
        $broken = [];
        $even = round($result->evenness(), 4);
        if ($even < $limits->evenness) {
            $broken[] = new Broken(
                'evenness',
                sprintf('%s: evenness %.2f, limit %.2f', $name, $even, $limits->evenness),
                ($limits->evenness - $even) / $limits->evenness,
            );
        }
        $seam = Seam::applies($plan, $run) ? round($result->seam(), 4) : 0.0;
        if ($seam > $limits->seam) {
            $broken[] = new Broken(
                'seam',
                sprintf('%s: seam %.1f %%, limit %.0f %%', $name, 100 * $seam, 100 * $limits->seam),
                $seam / $limits->seam - 1,
            );
        }
        $most = $limits->drop * ($plan->strip($run->strip)->volts ?? 0.0);
        $drop = $result->feeds === [] ? 0.0 : round($result->supplyVolts - $result->farthestFeed()->volts, 4);
        if ($drop > $most) {
            $broken[] = new Broken(
                'drop',
                sprintf('%s: %.2f V lost, limit %.2f V', $name, $drop, $most),
                $drop / $most - 1,
            );
        }

        return $broken;
    }

    /**
     * @param  array<string, mixed>  $results
     * @param  list<array<string, float>>  $open  amps of cables with one feed open
     * @return list<Broken>
     */
    private static function cables(Plan $plan, array $results, array $open = []): array
    {
        $broken = [];
        $seen = [];
        foreach ($results as $result) {
            foreach ($result instanceof RunResult ? $result->cables : [] as $id => $cable) {
                if (isset($seen[$id])) {
                    continue;
                }
                $seen[$id] = true;
                $laid = $plan->cables[$id];
                $label = strtoupper($id);
                $capacity = $plan->cable($laid->kit)->conductor->capacity ?? 0.0;
                $amps = round(max([$cable->amps(), ...array_column($open, $id)]), 4);
                $guard = Guard::of($plan, $laid);
                $fuse = $plan->fuse($laid->fuse)?->amps;
                if ($amps > $capacity) {
                    $broken[] = new Broken(
                        'cable',
                        sprintf('%s carries %.1f A, may carry %g A', $label, $amps, $capacity),
                        $amps / max(0.1, $capacity) - 1,
                    );
                } elseif ($fuse !== null && round(1.25 * $amps, 4) > $fuse) {
                    $broken[] = new Broken(
                        'cable',
                        sprintf('%s: the fuse that protects it, %g A, blows at %.1f A', $label, $fuse, $amps),
                        (1.25 * $amps) / $fuse - 1,
                    );
                } elseif ($guard->amps > $capacity) {
                    $broken[] = new Broken(
                        'cable',
                        sprintf('%s may carry %g A and nothing stops %.1f A', $label, $capacity, $guard->amps),
                        $guard->amps / max(0.1, $capacity) - 1,
                    );
                }
            }
        }

        return $broken;
    }

    /**
     * @param  list<Run>  $runs
     * @return list<Broken>
     */
    private static function headroom(Plan $plan, array $runs): array
    {
        $broken = [];
        foreach (array_unique(array_filter(array_map(static fn(Run $r): ?string => $r->supply, $runs))) as $id) {
            $supply = $plan->supply($id);
            $watts = Lamps::watts($plan, $id);
            foreach ($plan->runs as $run) {
                $watts +=
                    $run->supply === $id
                        ? ($plan->strip($run->strip)?->wattsPerMetre() ?? 0.0) *
                            ($plan->cutMarks($run)?->length() ?? 0.0) *
                            $run->cap
                        : 0.0;
            }
            $asks = $watts / (1 - $plan->limits->headroom);
            if ($supply !== null && !$supply->battery() && $supply->ratedWatts() < $asks - 1e-9) {
                $broken[] = new Broken(
                    'headroom',
                    sprintf(
                        '%s is rated for %.0f W, %.0f W are asked for',
                        strtoupper($id),
                        $supply->ratedWatts(),
                        $asks,
                    ),
                    $asks / $supply->ratedWatts() - 1,
                );
            }
        }

        return $broken;
    }

    /**
     * @param  list<Run>  $runs
     * @return list<Broken>
     */
    private static function controllers(Plan $plan, array $runs): array
    {
        $metres = [];
        $of = [];
        foreach ($runs as $run) {
            $strip = $plan->strip($run->strip);
            if ($run->controller !== null && $strip?->switched() === true) {
                $metres[$run->controller] =
                    ($metres[$run->controller] ?? 0.0) + ($plan->cutMarks($run)?->length() ?? 0.0);
                $of[$run->controller] = $strip;
            }
        }
        $broken = [];
        foreach ($of as $id => $strip) {
            $controller = $plan->controller($id);
            $carries = $controller === null ? INF : ControllerAmps::metres($strip, $controller);
            if ($metres[$id] > $carries + 1e-9) {
                $broken[] = new Broken(
                    'controller',
                    sprintf('%s carries %.1f m, not %.1f m', strtoupper($id), $carries, $metres[$id]),
                    $metres[$id] / $carries - 1,
                );
            }
        }

        return $broken;
    }
}
