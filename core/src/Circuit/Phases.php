<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Scene;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;

/**
 * The phases of an island's dimming (docs/model.md 3): all controllers start their period together; with distinct duties
 * d1 < d2 < …, phase j lasts d(j) - d(j-1) and channels with more than d(j-1) conduct; a last one carries standby loads.
 */
final readonly class Phases
{
    /** Number of distinct duties. */
    private const MOST = 16;

    private function __construct(private Plan $plan, private ?Scene $scene) {}

    /**
     * @return non-empty-list<Phase> at full without a scene
     *
     * @throws Refusal when there are too many duties
     */
    public static function for(Plan $plan, Island $island, ?Scene $scene): array
    {
        return (new self($plan, $scene))->all($island);
    }

    /**
     * @return non-empty-list<Phase> at full without a scene
     *
     * @throws Refusal when there are too many duties
     */
    private function all(Island $island): array
    {
        $duties = $this->shares($island);
        $distinct = array_values(
            array_unique(array_filter(array_merge(...array_values($duties)), static fn(float $d): bool => $d > 0)),
        );
        sort($distinct);
        $levels = $this->levels($island);
        if ($this->scene === null && ($distinct === [] || $distinct === [1.0])) {
            return [new Phase()];
        }
        if (count($distinct) > self::MOST) {
            throw new InvalidInput(
                sprintf(
                    'The scene “%s” has %d different duty cycles here; at most %d are supported. Set some of them alike.',
                    $this->scene->name ?? 'full',
                    count($distinct),
                    self::MOST,
                ),
            );
        }
        $phases = [];
        $before = 0.0;
        foreach ($distinct as $duty) {
            $phases[] = new Phase(
                count($phases) + 1,
                $duty - $before,
                array_map(
                    static fn(array $of): array => array_map(static fn(float $d): bool => $d > $before, $of),
                    $duties,
                ),
                $levels,
            );
            $before = $duty;
        }
        if ($before < 1 || $phases === []) {
            $phases[] = new Phase(
                count($phases) + 1,
                1 - $before,
                array_map(static fn(array $of): array => array_map(static fn(): bool => false, $of), $duties),
                $levels,
            );
        }

        return $phases;
    }

    /** @return array<string, list<float>> duties by controller; a repeater has those of its leader */
    public static function duties(Plan $plan, Island $island, ?Scene $scene): array
    {
        return (new self($plan, $scene))->shares($island);
    }

    /** @return array<string, list<float>> duties by controller; a repeater has those of its leader */
    private function shares(Island $island): array
    {
        $duties = [];
        foreach ($island->parts as $parts) {
            $id = $parts->run->controller;
            if ($parts->controller !== null && $parts->controller->pixels === null && $id !== null) {
                $duties[$id] ??= $this->copied($parts->run, count($parts->strip->channels));
            }
        }

        return $duties;
    }

    /** @return list<float> */
    private function copied(Run $run, int $channels): array
    {
        $first = $run;
        for ($n = 0; ($before = $this->plan->of($first)->before()) !== null && $n < 8; $n++) {
            $first = $before;
        }
        $lit = count($this->plan->strip($run->strip)->channels ?? [null]);
        $full =
            ($this->plan->controller($first->controller)?->sharesChannels === true ? 1.0 / $lit : 1.0) *
            self::limit($this->plan, (string) $first->controller);
        if ($this->scene === null) {
            return array_fill(0, $channels, $full);
        }
        $given = $this->scene->levels[(string) $first->controller] ?? [];
        $limit = self::limit($this->plan, (string) $first->controller);

        return array_map(static fn(int $n): float => $limit * ($given[$n] ?? 0.0), range(0, $channels - 1));
    }

    /** The share of full light that a limit set in a controller leaves: of all runs on it the least. */
    private static function limit(Plan $plan, string $controller): float
    {
        $caps = array_map(
            static fn(Run $r): float => $r->controller === $controller ? $r->cap : 1.0,
            array_values($plan->runs),
        );

        return min([1.0, ...$caps]);
    }

    /** @return array<string, list<float>> mean duty by pixel run, of each group where segments differ, else one */
    private function levels(Island $island): array
    {
        $levels = [];
        foreach ($island->parts as $id => $parts) {
            if (!$parts->strip->switched() && $this->scene !== null) {
                $levels[$id] = $this->ofRun((string) $id, $parts);
            }
        }

        return $levels;
    }

    /** @return list<float> */
    private function ofRun(string $run, WiredRun $parts): array
    {
        $mean = static fn(array $duties): float => array_sum($duties) / max(1, count($duties));
        $whole = $mean($this->scene->levels[$run] ?? [0.0]);
        $each = max(1, $parts->strip->pixels->pixels ?? 1);
        $pixels = [];
        foreach ($this->plan->segments as $id => $segment) {
            if ($segment->run === $run && isset($this->scene->levels[$id])) {
                $pixels += array_fill($segment->first - 1, $segment->pixels(), $mean($this->scene->levels[$id]));
            }
        }
        if ($pixels === []) {
            return [$whole];
        }
        $levels = [];
        for ($group = 0; $group < $parts->marks->groupCount(); $group++) {
            $sum = 0.0;
            for ($pixel = $group * $each; $pixel < ($group + 1) * $each; $pixel++) {
                $sum += $pixels[$pixel] ?? $whole;
            }
            $levels[] = $sum / $each;
        }
        // A board dims all its pixels alike until their current together is within its limit.
        $dims = min(1.0, $parts->run->cap / max(1e-9, $mean($levels)));

        return array_map(static fn(float $l): float => $l * $dims, $levels);
    }
}
