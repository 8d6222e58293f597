<?php

declare(strict_types=1);

namespace App\Screens\Handover;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Kit\CrewNote;

/** Facts and notes of a job. */
final readonly class LeftBehind implements View
{
    use WrittenRecord;

    /**
     * @param  list<LeftFactView>  $facts
     * @param  list<CrewNote>  $notes
     */
    public function __construct(
        #[Field(of: LeftFactView::class)] public array $facts,
        #[Field(of: CrewNote::class)] public array $notes,
    ) {}
}
