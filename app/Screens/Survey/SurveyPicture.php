<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Plan\Terms;

/** Survey screen: places, units and terms. */
final readonly class SurveyPicture implements View
{
    use WrittenRecord;

    /**
     * @param  list<SurveyPlace>  $places
     * @param  list<string>  $mountings
     * @param  list<SurveyLight>  $lights
     * @param  list<string>  $words
     * @param  list<StandingUnit>  $units
     */
    public function __construct(
        #[Field(of: SurveyPlace::class)] public array $places,
        public Terms $terms,
        #[Field(of: Field::TEXTS)] public array $mountings,
        #[Field(of: SurveyLight::class)] public array $lights,
        #[Field(of: Field::TEXTS)] public array $words,
        #[Field(of: StandingUnit::class)] public array $units,
    ) {}
}
