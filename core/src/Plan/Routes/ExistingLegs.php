<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Routes;

use EmberDusk\Kit\Cable;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\TapeNotes;

/** Surveyed legs of a place that could run past a run and be tapped: sound ones with cores enough, as cables of the shelf of the same size. */
final readonly class ExistingLegs
{
    /** Metres of a drop from the leg to the strip, and of leg before the first tap. */
    public const DROP = 0.2;

    public const LEAD = 1.0;

    /** @return array<string, KitSnapshot> by the leg's name */
    public static function of(Plan $plan, Run $run, ShelfSource $shelf): array
    {
        $cores = count($plan->strip($run->strip)->channels ?? []) + 1;
        $legs = [];
        foreach (TapeNotes::read($plan->places[$run->place]->notes ?? '')->site->legs as $leg) {
            if ($leg->cores >= $cores && !$leg->open && $leg->broken === [] && $leg->joined === null) {
                $cable = self::cable($shelf, $leg->cores, $leg->conductor->system, $leg->conductor->size);
            } else {
                $cable = null;
            }
            if ($cable !== null) {
                $legs[$leg->name] = $cable;
            }
        }

        return $legs;
    }

    /** How a leg lies, in the survey's words; empty where they do not say. */
    public static function laid(Plan $plan, Run $run, string $leg): string
    {
        return TapeNotes::read($plan->places[$run->place]->notes ?? '')->site->leg($leg)->laid ?? '';
    }

    /** @return list<int> both ends of every section */
    public static function pads(Plan $plan, Run $run): array
    {
        $pads = [];
        $pad = 0;
        foreach ($plan->cutMarks($run)->groups ?? [] as $groups) {
            array_push($pads, $pad, $pad + $groups);
            $pad += $groups + 1;
        }

        return $pads;
    }

    /** The first cable of the shelf with just so many cores of a size. */
    private static function cable(ShelfSource $shelf, int $cores, string $system, string $size): ?KitSnapshot
    {
        foreach ($shelf->ofKind('cable') as $snapshot) {
            $cable = $snapshot->entry;
            if (
                $cable instanceof Cable &&
                $cable->cores === $cores &&
                $cable->conductor->system === $system &&
                $cable->conductor->size === $size
            ) {
                return $snapshot;
            }
        }

        return null;
    }
}
