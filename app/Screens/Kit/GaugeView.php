<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** Rated and needed value of a kit entry. */
final readonly class GaugeView implements View
{
    use WrittenRecord;

    public function __construct(public float $offers, public float $asks, public bool $enough, public string $text) {}
}
