<?php

declare(strict_types=1);

namespace App\Screens\Shelf;

use App\Screens\Kit\KitScreen;
use App\Screens\Wire\WireScreen;
use EmberDusk\Checks\Findings;
use EmberDusk\Job\JobState;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Finding;

/** Difference between two plans: changed figures, new and resolved findings. */
final readonly class Shift
{
    public static function for(JobState $before, JobState $after): ShiftView
    {
        $old = self::figures($before);
        $new = self::figures($after);
        $moved = [];
        foreach ($old + $new as $label => $_) {
            [$was, $is] = [$old[$label] ?? null, $new[$label] ?? null];
            if ($was?->text() !== $is?->text()) {
                $moved[] = new MovedFigure(
                    label: $label,
                    before: $was?->text() ?? 'not known',
                    after: $is?->text() ?? 'not known',
                    unit: $is->unit ?? ($was->unit ?? ''),
                );
            }
        }
        $titles = static fn(JobState $w): array => array_map(
            static fn(Finding $f): string => $f->title,
            Findings::for($w),
        );

        return new ShiftView(
            figures: $moved,
            comes: array_values(array_diff($titles($after), $titles($before))),
            goes: array_values(array_diff($titles($before), $titles($after))),
        );
    }

    /** @return array<string, Figure> by label */
    private static function figures(JobState $state): array
    {
        $figures = [];
        foreach ([...KitScreen::ledger($state), ...WireScreen::ledger($state)] as $figure) {
            $figures[$figure->label] ??= $figure;
        }

        return $figures;
    }
}
