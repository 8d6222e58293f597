<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Figure;

/** A supply: amps, run time and battery bank. */
final readonly class SupplyRow implements View
{
    use WrittenRecord;

    /**
     * @param  list<string>  $notes
     * @param  list<BankState>  $states
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $where,
        public bool $battery,
        public int $series,
        public int $parallel,
        public ?Figure $average,
        public ?Figure $peak,
        public ?Figure $runTime,
        #[Field(of: Field::TEXTS)] public array $notes,
        public ?Figure $standby,
        #[Field(of: BankState::class)] public array $states,
        public ?string $bank,
        public ?Figure $draw,
        public ?Figure $plate,
    ) {}
}
