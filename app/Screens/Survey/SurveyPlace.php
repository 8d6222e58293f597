<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A place with its notes and what they say. */
final readonly class SurveyPlace implements View
{
    use WrittenRecord;

    /**
     * @param  list<SurveyRun>  $runs
     * @param  list<SurveyLeg>  $legs
     * @param  list<NearPoint>  $near
     * @param  list<BatteryView>  $batteries
     * @param  list<string>  $radios
     * @param  list<BoxRoomView>  $boxes
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $notes,
        public string $facts,
        #[Field(oneOf: ['empty', 'read', 'slips'])] public string $state,
        public SheetView $sheet,
        #[Field(of: SurveyRun::class)] public array $runs,
        #[Field(of: SurveyLeg::class)] public array $legs,
        #[Field(of: NearPoint::class)] public array $near,
        #[Field(of: BatteryView::class)] public array $batteries,
        #[Field(of: Field::TEXTS)] public array $radios,
        #[Field(of: BoxRoomView::class)] public array $boxes,
    ) {}
}
