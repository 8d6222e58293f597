<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Trace;

/** Result of a trace: the possible legs of each near end, and the note for each leg. */
final readonly class TraceResult
{
    /**
     * @param  list<list<string>>  $ends names of legs by end; several if they cannot be distinguished
     * @param  array<string, string>  $found  by leg, in the words of the notes; empty when the answers contradict each other
     */
    private function __construct(public array $ends, public array $found) {}

    /** @param  list<TracedLeg>  $legs */
    public static function unclear(array $legs): self
    {
        return new self(array_fill(0, count($legs), []), []);
    }

    /**
     * @param  list<TracedLeg>  $legs
     * @param  list<int>  $heard  by end, as bits of legs
     * @param  array<int, int>  $silent  the leg of a silent end, where it is certain
     * @param  array<int, list<int>|null>  $broken  cores by end
     */
    public static function from(array $legs, array $heard, array $silent, array $broken): self
    {
        $all = array_reduce($heard, static fn(int $a, int $b): int => $a | $b, 0);
        $rest = array_filter(array_keys($legs), static fn(int $leg): bool => (($all >> $leg) & 1) === 0);
        $ends = [];
        $found = [];
        foreach ($heard as $end => $mask) {
            if ($mask === 0) {
                if (isset($silent[$end])) {
                    $of = [$silent[$end]];
                } else {
                    $of = array_values($rest);
                }
            } else {
                $of = array_values(
                    array_filter(array_keys($legs), static fn(int $leg): bool => (($mask >> $leg) & 1) === 1),
                );
            }
            // An end with an unknown far end that hears another leg is joined with it.
            $ends[] = array_map(static fn(int $leg): string => $legs[$leg]->name, $of);
            foreach ($of as $leg) {
                $found[$legs[$leg]->name] ??= self::words(
                    legs: $legs,
                    leg: $leg,
                    mask: $mask,
                    heard: $heard,
                    broken: $broken[$end] ?? [],
                );
            }
        }

        return new self($ends, $found);
    }

    /**
     * @param  list<TracedLeg>  $legs
     * @param  list<int>  $heard
     * @param  list<int>|null  $broken
     */
    private static function words(array $legs, int $leg, int $mask, array $heard, ?array $broken): string
    {
        if ($mask === 0 && $legs[$leg]->to === null) {
            return 'traced';
        }
        if ($mask === 0 && ($broken === null || $broken === [])) {
            return 'open';
        }
        $words = ['traced', ...array_map(static fn(int $core): string => "core {$core} broken", $broken ?? [])];
        foreach ($legs as $other => $of) {
            if ($other !== $leg && (($mask >> $other) & 1) === 1) {
                $words[] = "joined {$of->name}";
            }
        }
        // Two ends with the same leg: the other one has no known far end.
        if (count($words) === 1 && count(array_keys($heard, $mask, true)) > 1) {
            $unknown = array_filter($legs, static fn(TracedLeg $l): bool => $l->to === null);
            foreach ($unknown as $of) {
                $words[] = "joined {$of->name}";
            }
        }

        return implode(', ', $words);
    }
}
