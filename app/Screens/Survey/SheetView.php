<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** The tape sheet at true scale, in metres. */
final readonly class SheetView implements View
{
    use WrittenRecord;

    /**
     * @param  list<list<float>>  $corners
     * @param  list<Wall>  $walls
     * @param  list<OpeningView>  $openings
     * @param  list<SheetRun>  $runs
     * @param  list<ClimbView>  $climbs
     * @param  list<Spot>  $spots
     * @param  list<SheetLeg>  $legs
     * @param  list<SlipView>  $slips
     * @param  string  $unit  of lengths beside the drawing, m or ft, and how many metres one is
     */
    public function __construct(
        public string $start,
        public bool $closed,
        #[Field(of: Field::NUMBERS, depth: 2)] public array $corners,
        #[Field(of: Wall::class)] public array $walls,
        #[Field(of: OpeningView::class)] public array $openings,
        #[Field(of: SheetRun::class)] public array $runs,
        #[Field(of: ClimbView::class)] public array $climbs,
        #[Field(of: Spot::class)] public array $spots,
        #[Field(of: SheetLeg::class)] public array $legs,
        #[Field(of: SlipView::class)] public array $slips,
        public string $unit,
        public float $unitMetres,
    ) {}
}
