<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Kit\CrewNote;

/** Kit screen: slots of each run, hubs and what is owned. */
final readonly class KitPicture implements View
{
    use WrittenRecord;

    /**
     * @param  list<KitRun>  $runs
     * @param  list<OwnedKit>  $owned
     * @param  list<CrewNote>  $notes
     */
    public function __construct(
        #[Field(of: KitRun::class)] public array $runs,
        public SlotView $hub,
        #[Field(of: OwnedKit::class)] public array $owned,
        public ?string $inHand,
        public ItemsPicture $beside,
        #[Field(of: CrewNote::class)] public array $notes,
    ) {}
}
