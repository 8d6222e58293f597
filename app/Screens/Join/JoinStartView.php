<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Kit\CrewNote;

/** Start of a run: what blocks it, what it needs and how long it takes. */
final readonly class JoinStartView implements View
{
    use WrittenRecord;

    /**
     * @param  list<JoinBlocked>  $blocked
     * @param  list<JoinNeedView>  $needs
     * @param  list<JoinUnit>  $units
     * @param  list<CrewNote>  $notes
     */
    public function __construct(
        public bool $ready,
        #[Field(of: JoinBlocked::class)] public array $blocked,
        #[Field(of: JoinNeedView::class)] public array $needs,
        #[Field(of: JoinUnit::class)] public array $units,
        public int $steps,
        public float $minutes,
        #[Field(of: CrewNote::class)] public array $notes,
    ) {}
}
