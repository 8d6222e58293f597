<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Models\Trace;
use EmberDusk\Plan\Place;
use EmberDusk\Survey\Site\CableLeg;
use EmberDusk\Survey\Trace\Probe;
use EmberDusk\Survey\Trace\TracedLeg;
use EmberDusk\Survey\Trace\Tracer;
use EmberDusk\Survey\Trace\TraceResult;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\OutOfTurn;
use EmberDusk\Values\Refusal;

/** A trace in words: what to link, which end to touch, and in the end which end is which leg. Ends are numbered from 1. */
final readonly class TraceScreen
{
    public const CAUTION =
        'First isolate, lock off and prove dead; then disconnect every leg at both ends. A tester on a live ' .
        'leg can kill. Legs that carry mains are for a licensed person.';

    /**
     * The legs of a place from one point, for tracing.
     *
     * @return non-empty-list<TracedLeg>
     *
     * @throws Refusal when there is nothing to trace
     */
    public static function legs(Place $place, string $near): array
    {
        $legs = array_values(
            array_map(
                static fn(CableLeg $l): TracedLeg => new TracedLeg($l->name, $l->to, $l->cores),
                array_filter(
                    WallNotes::read($place->notes)->site->legs,
                    static fn(CableLeg $l): bool => $l->from === $near,
                ),
            ),
        );
        if ($legs === [] || array_filter($legs, static fn(TracedLeg $l): bool => $l->to !== null) === []) {
            throw InvalidInput::at(
                '/near',
                "No leg of {$place->name} goes from {$near} to a known place. Add them to the notes " .
                    "first, such as “leg A {$near} to window 3x2.5”.",
            );
        }
        if (count($legs) > Tracer::MOST) {
            throw InvalidInput::at('/near', 'At most ' . Tracer::MOST . ' legs can be traced at once.');
        }

        return $legs;
    }

    /**
     * @throws OutOfTurn for a trace without legs
     */
    public static function for(Trace $trace): TraceAnswer
    {
        $legs = self::traced($trace);
        $answers = $trace->heard();
        $next = (new Tracer($legs))->next($answers);
        $last = end($answers);
        $found = $next instanceof TraceResult ? $next->found : [];

        $step = null;
        if ($next instanceof Probe) {
            $step = new TraceStep(
                link: self::far($legs, $next->linked, 1),
                open: self::far($legs, $next->linked, 0),
                end: $next->end + 1,
                cores: $next->cores,
                same: $last !== false && $last[0]->linked === $next->linked,
            );
        }
        $ends = [];
        if ($next instanceof TraceResult) {
            $ends = array_map(
                static fn(int $n, array $of): TraceEnd => new TraceEnd(number: $n + 1, legs: $of),
                array_keys($next->ends),
                $next->ends,
            );
        }

        return new TraceAnswer(
            id: $trace->id,
            place: $trace->place,
            near: $trace->near,
            legs: array_map(static fn(TracedLeg $l): string => "{$l->name} to " . ($l->to ?? '?'), $legs),
            asked: count($answers),
            step: $step,
            ends: $ends,
            found: array_map(
                static fn(string $leg, string $text): TraceFound => new TraceFound($leg, $text),
                array_keys($found),
                $found,
            ),
            recorded: $trace->recorded_at !== null,
            caution: self::CAUTION,
        );
    }

    /**
     * @return non-empty-list<TracedLeg>
     *
     * @throws OutOfTurn for a trace without legs
     */
    public static function traced(Trace $trace): array
    {
        $legs = $trace->traced();
        if ($legs === []) {
            throw new OutOfTurn('This trace has no legs.');
        }

        return $legs;
    }

    /**
     * @param  list<TracedLeg>  $legs
     * @return list<string> far ends of the legs whose bit is as asked
     */
    private static function far(array $legs, int $linked, int $bit): array
    {
        $far = [];
        foreach ($legs as $n => $leg) {
            if ($leg->to !== null && (($linked >> $n) & 1) === $bit) {
                $far[] = "{$leg->name}: {$leg->to}";
            }
        }

        return $far;
    }
}
