<?php

declare(strict_types=1);

namespace App\Screens\Handover;

use App\Screens\Desk\Named;
use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Handover\AcceptedRow;
use EmberDusk\Handover\Sheet;
use EmberDusk\Kit\CrewNote;

/** The sheet of a job as it is shown, printed and shared: with its day and with results from the site. */
final readonly class IssuedSheet implements View
{
    use WrittenRecord;

    /**
     * @param  string  $printed  today
     * @param  string|null  $rehearsed  when the join was last rehearsed
     * @param  string  $by  who joined
     * @param  list<AcceptedRow>  $accepted
     * @param  list<LeftFactView>  $facts
     * @param  list<CrewNote>  $notes
     * @param  list<Named>  $kits  kit that a note can be about
     * @param  string|null  $joined  when the devices were joined on site
     * @param  list<string>  $seen  accepted points in words
     */
    public function __construct(
        public string $printed,
        public ?string $rehearsed,
        public string $by,
        #[Field(of: AcceptedRow::class)] public array $accepted,
        #[Field(of: LeftFactView::class)] public array $facts,
        #[Field(of: CrewNote::class)] public array $notes,
        #[Field(of: Named::class)] public array $kits,
        public ?string $joined,
        #[Field(of: Field::TEXTS)] public array $seen,
        #[Field(inline: true)] public Sheet $sheet,
    ) {}
}
