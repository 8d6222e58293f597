<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Trace;

/** After the ends are identified: every further core of every leg, all far ends linked; and for a silent leg, the broken core. */
final readonly class Cores
{
    /**
     * @param  non-empty-list<TracedLeg>  $legs
     * @param  list<int>  $heard  by end, as bits of legs
     */
    public function __construct(private array $legs, private array $heard) {}

    /**
     * @param  list<array{Probe, bool}>  $answers
     */
    public function next(array $answers): Probe|TraceResult
    {
        $linkable = (new Tracer($this->legs))->linkable();
        $toned = [];
        foreach ($answers as [$probe, $tone]) {
            if ($probe->linked === $linkable) {
                $toned[$probe->end][implode('-', $probe->cores)] = $tone;
            }
        }
        foreach ($this->heard as $end => $mask) {
            // Nothing is called sound that has not been heard.
            if (
                $mask !== 0 &&
                array_filter($answers, static fn(array $a): bool => $a[0]->end === $end && $a[1]) === []
            ) {
                return new Probe($mask & $linkable, $end);
            }
        }
        $silent = $this->silent();
        $broken = [];
        foreach ($this->heard as $end => $mask) {
            $leg = $mask === 0 ? $silent[$end] ?? null : self::first($mask);
            if ($leg === null || $this->legs[$leg]->to === null) {
                continue;
            }
            foreach (self::pairs($this->legs[$leg]->cores, $mask === 0, $toned[$end] ?? []) as $pair) {
                if (!isset($toned[$end][implode('-', $pair)])) {
                    return new Probe($linkable, $end, $pair);
                }
            }
            $broken[$end] = self::broken($this->legs[$leg]->cores, $mask === 0, $toned[$end] ?? []);
        }

        return TraceResult::from($this->legs, $this->heard, $silent, $broken);
    }

    /**
     * The leg of each silent end, where only one is left for it.
     *
     * @return array<int, int> leg by end
     */
    private function silent(): array
    {
        $ends = array_keys($this->heard, 0, true);
        $rest = array_values(
            array_filter(
                array_keys($this->legs),
                fn(int $leg): bool => !in_array(
                    1,
                    array_map(static fn(int $m): int => ($m >> $leg) & 1, $this->heard),
                    true,
                ),
            ),
        );
        if (count($ends) === 1 && count($rest) === 1) {
            return [$ends[0] => $rest[0]];
        }

        return [];
    }

    /**
     * Cores that must be measured against each other at one end.
     *
     * @param  array<string, bool>  $toned
     * @return list<array{int, int}>
     */
    private static function pairs(int $cores, bool $silent, array $toned): array
    {
        $pairs = [];
        for ($core = 3; $core <= $cores; $core++) {
            $pairs[] = [1, $core];
        }
        // Core 1 itself may be the broken one: then nothing is heard against it.
        if ($silent && $cores > 2 && !in_array(true, $toned, true) && count($toned) === count($pairs)) {
            for ($core = 3; $core <= $cores; $core++) {
                $pairs[] = [2, $core];
            }
        }

        return $pairs;
    }

    /**
     * @param  array<string, bool>  $toned
     * @return list<int>|null cores without a tone; null if undecidable
     */
    private static function broken(int $cores, bool $silent, array $toned): ?array
    {
        $dead = [];
        for ($core = 3; $core <= $cores; $core++) {
            if (($toned["1-{$core}"] ?? true) === false) {
                $dead[] = $core;
            }
        }
        if (!$silent) {
            return $dead;
        }
        if ($cores > 2 && count($dead) < $cores - 2) {
            return [2, ...$dead];
        }
        $good = array_filter(
            $toned,
            static fn(bool $tone, string $pair): bool => $tone && str_starts_with($pair, '2-'),
            ARRAY_FILTER_USE_BOTH,
        );
        if ($good === []) {
            return null;
        }

        return [
            1,
            ...array_values(array_filter($dead, static fn(int $c): bool => ($toned["2-{$c}"] ?? false) === false)),
        ];
    }

    private static function first(int $mask): int
    {
        return (int) log($mask & -$mask, 2);
    }
}
