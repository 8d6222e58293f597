<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A supply or controller in the drawing. */
final readonly class BenchDevice implements View
{
    use WrittenRecord;

    public function __construct(public string $id, #[Field(oneOf: ['supply', 'controller'])] public string $kind) {}
}
