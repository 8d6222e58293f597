<?php

declare(strict_types=1);

namespace App\Screens\Shelf;

use App\Screens\Kit\KitScreen;
use App\Screens\View;
use App\Screens\Wire\WireScreen;
use EmberDusk\Checks\Findings;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Job\JobState;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Finding;

/** Difference between two plans: changed figures, new and resolved findings. */
final readonly class Shift implements View
{
    use WrittenRecord;

    /**
     * @param  list<MovedFigure>  $figures
     * @param  list<string>  $comes
     * @param  list<string>  $goes
     */
    public function __construct(
        #[Field(of: MovedFigure::class)] public array $figures,
        #[Field(of: Field::TEXTS)] public array $comes,
        #[Field(of: Field::TEXTS)] public array $goes,
    ) {}

    public static function for(JobState $before, JobState $after): self
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
            (new Findings($w))->for(),
        );

        return new self(
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
