<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use App\Screens\Desk\Named;
use App\Screens\View;
use App\Screens\Wire\CableOption;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Parts screen: the list, the cuts and the offcuts. */
final readonly class PartsPicture implements View
{
    use WrittenRecord;

    /**
     * @param  list<StockCutView>  $cuts
     * @param  list<PartRow>  $parts
     * @param  list<MakingRow>  $makings
     * @param  list<OffcutView>  $offcuts
     * @param  list<Named>  $bare
     * @param  list<CableOption>  $states
     * @param  list<string>  $lacking
     */
    public function __construct(
        #[Field(of: StockCutView::class)] public array $cuts,
        #[Field(of: PartRow::class)] public array $parts,
        #[Field(of: MakingRow::class)] public array $makings,
        #[Field(of: OffcutView::class)] public array $offcuts,
        #[Field(of: Named::class)] public array $bare,
        public string $currency,
        #[Field(of: CableOption::class)] public array $states,
        #[Field(of: Field::TEXTS)] public array $lacking,
    ) {}
}
