<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Photos of a place, with the limits. */
final readonly class PlacePhotos implements View
{
    use WrittenRecord;

    /** @param  list<PhotoView>  $photos */
    public function __construct(#[Field(of: PhotoView::class)] public array $photos, public PhotoLimits $limits) {}
}
