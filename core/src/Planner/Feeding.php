<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Plan\Changes\Runs\SplitRun;
use EmberDusk\Plan\CutMarks;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/**
 * Feed patterns of a run: its start, its end, both, the middle, two to six equal shares at (2j-1)/(2k) of its length, or two halves cut apart with a
 * feed at each outer end; beside these one feed at any of 25 places, or two at any pair of them. Each is a fixed list of pads.
 */
final readonly class Feeding
{
    public const HALVES = 'halves';

    public const NOW = 'as now';

    /** Most feeds of a run. */
    public const MOST = 6;

    /** Key prefix of places along a run. */
    public const SPOT = 'at ';

    /** Steps between the places along a run. */
    public const STEPS = 24;

    public function __construct(private Plan $plan, private Run $run) {}

    /** @return array<string, list<int>> pads by pattern; no two patterns have the same but the halves, whose run is cut */
    public function for(): array
    {
        $marks = $this->plan->of($this->run)->cutMarks();
        $strip = $this->plan->strip($this->run->strip);
        if ($marks === null || $strip === null) {
            return [];
        }
        if (in_array('feeds', $this->run->pins, true)) {
            $now = array_map(static fn($f): int => $f->pad, $this->plan->ways()->feedsOf($this->run));
            if ($now === []) {
                return [];
            }

            return [self::NOW => $now];
        }
        $patterns = [
            'start' => [0],
            'end' => [$marks->lastPad()],
            'both ends' => [0, $marks->lastPad()],
            'middle' => [$marks->nearest($marks->length() / 2)],
        ];
        for ($k = 2; $k <= self::MOST; $k++) {
            $patterns["{$k} equal feeds"] = array_values(
                array_unique(
                    array_map(
                        static fn(int $j): int => $marks->nearest(($marks->length() * (2 * $j - 1)) / (2 * $k)),
                        range(1, $k),
                    ),
                ),
            );
        }
        $unique = [];
        foreach ($patterns as $name => $pads) {
            $unique[implode(',', $pads)] ??= $name;
        }
        $patterns = array_intersect_key($patterns, array_flip($unique));
        // The halves of pixels ask for two outputs of a board, which may still have to be chosen.
        $bare = !$strip->switched() && $this->run->controller === null;
        if ($this->run->parts === 1 && $this->run->zones === [] && !$bare) {
            $halves = array_map(
                static fn(Run $half): CutMarks => CutMarks::from($half, $strip),
                array_values(SplitRun::cut($this->run, 2, $this->plan->runs)),
            );
            if (count($halves) === 2 && $halves[0]->groupCount() > 0 && $halves[1]->groupCount() > 0) {
                $patterns[self::HALVES] = [0, $halves[1]->lastPad()];
            }
        }

        return $patterns;
    }

    /**
     * One feed at any of the places along the run, or two at any pair; none that a pattern has, none where the run is cut or pinned.
     *
     * @param  array<string, list<int>>  $patterns  that are known
     * @return array<string, list<int>> pads by the numbers of the places: “at 8”, “at 3+17”
     */
    public function spots(array $patterns): array
    {
        $marks = $this->plan->of($this->run)->cutMarks();
        if ($marks === null || isset($patterns[self::NOW]) || $patterns === [] || count($this->run->sections) > 1) {
            return [];
        }
        $known = array_flip(array_map(static fn(array $pads): string => implode(',', $pads), $patterns));
        $pads = [];
        for ($k = 0; $k <= self::STEPS; $k++) {
            $pads[$k] = $marks->nearest(($marks->length() * $k) / self::STEPS);
        }
        $pads = array_unique($pads);
        $spots = [];
        foreach ($pads as $k => $one) {
            $spots[self::SPOT . $k] = [$one];
            foreach ($pads as $n => $two) {
                if ($n > $k) {
                    $spots[self::SPOT . "{$k}+{$n}"] = [$one, $two];
                }
            }
        }

        return array_filter($spots, static fn(array $pads): bool => !isset($known[implode(',', $pads)]));
    }

    /**
     * A pattern in words; places along the run in metres or feet from its start.
     *
     * @param  list<int>  $pads
     */
    public static function words(Plan $plan, Run $run, string $pattern, array $pads): string
    {
        if (!str_starts_with($pattern, self::SPOT)) {
            return $pattern;
        }
        $marks = $plan->of($run)->marks();
        $between = array_diff($pads, [0, $marks->lastPad()]);
        $at = implode(
            ' and ',
            array_map(static fn(int $pad): string => $plan->terms->say($marks->position($pad)), $between),
        );

        return match (true) {
            in_array(0, $pads, true) => "its start and {$at} from it",
            count($between) < count($pads) => "{$at} from its start and its end",
            default => "{$at} from its start",
        };
    }

    /**
     * Longest piece of strip that a feed carries on one side, in metres: beyond the last feed, or half of the way between two. A strip is as uneven
     * as the longest of them.
     *
     * @param  list<int>  $pads
     */
    public static function arm(CutMarks $marks, array $pads): float
    {
        $at = array_map($marks->position(...), $pads);
        sort($at);
        $arm = max($at[0], $marks->length() - $at[count($at) - 1]);
        for ($n = 1; $n < count($at); $n++) {
            $arm = max($arm, ($at[$n] - $at[$n - 1]) / 2);
        }

        return $arm;
    }
}
