<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Wire screen: the runs, cables, supplies and fixtures. */
final readonly class WirePicture implements View
{
    use WrittenRecord;

    /**
     * @param  list<WireRun>  $runs
     * @param  list<array<string, mixed>>  $cables
     * @param  list<array<string, mixed>>  $joints
     * @param  list<array<string, mixed>>  $fuses
     * @param  list<SupplyRow>  $supplies
     * @param  list<FixtureRow>  $fixtures
     * @param  list<array<string, mixed>>  $fixtureKit
     * @param  list<array<string, mixed>>  $places
     * @param  list<SceneRow>  $scenes
     * @param  list<DimmedRow>  $dimmed
     * @param  list<string>  $order
     * @param  list<array<string, mixed>>  $switches
     */
    public function __construct(
        #[Field(of: WireRun::class)] public array $runs,
        #[Field(defined: 'screen.json#/$defs/cableOption')] public array $cables,
        #[Field(defined: 'screen.json#/$defs/cableOption')] public array $joints,
        #[Field(defined: 'screen.json#/$defs/cableOption')] public array $fuses,
        #[Field(of: SupplyRow::class)] public array $supplies,
        #[Field(of: FixtureRow::class)] public array $fixtures,
        #[Field(defined: 'screen.json#/$defs/cableOption')] public array $fixtureKit,
        #[Field(defined: 'screen.json#/$defs/cableOption')] public array $places,
        public ?string $scene,
        #[Field(of: SceneRow::class)] public array $scenes,
        #[Field(of: DimmedRow::class)] public array $dimmed,
        #[Field(of: Field::TEXTS)] public array $order,
        #[Field(defined: 'screen.json#/$defs/cableOption')] public array $switches,
    ) {}
}
