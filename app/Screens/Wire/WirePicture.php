<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use App\Screens\Desk\HashedRows;
use App\Screens\KnownRows;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Copies;

/** Wire screen: the runs, cables, supplies and fixtures. */
final readonly class WirePicture implements HashedRows
{
    use Copies;
    use WrittenRecord;

    /**
     * @param  list<WireRun>  $runs
     * @param  list<CableOption>  $cables
     * @param  list<CableOption>  $joints
     * @param  list<CableOption>  $fuses
     * @param  list<SupplyRow>  $supplies
     * @param  list<FixtureRow>  $fixtures
     * @param  list<WireWay>  $fixtureCables
     * @param  list<CableOption>  $fixtureKit
     * @param  list<CableOption>  $places
     * @param  list<SceneRow>  $scenes
     * @param  list<DimmedRow>  $dimmed
     * @param  list<string>  $order
     * @param  list<CableOption>  $switches
     */
    public function __construct(
        #[Field(of: WireRun::class)] public array $runs,
        #[Field(of: CableOption::class)] public array $cables,
        #[Field(of: CableOption::class)] public array $joints,
        #[Field(of: CableOption::class)] public array $fuses,
        #[Field(of: SupplyRow::class)] public array $supplies,
        #[Field(of: FixtureRow::class)] public array $fixtures,
        #[Field(of: WireWay::class)] public array $fixtureCables,
        #[Field(of: CableOption::class)] public array $fixtureKit,
        #[Field(of: CableOption::class)] public array $places,
        public ?string $scene,
        #[Field(of: SceneRow::class)] public array $scenes,
        #[Field(of: DimmedRow::class)] public array $dimmed,
        #[Field(of: Field::TEXTS)] public array $order,
        #[Field(of: CableOption::class)] public array $switches,
    ) {}

    public function without(array $known): self
    {
        return $this->withChanged(runs: KnownRows::lacking($this->runs, $known));
    }
}
