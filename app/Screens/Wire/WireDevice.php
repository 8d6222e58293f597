<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Figure;

/** A supply or controller with its figure and place. */
final readonly class WireDevice implements View
{
    use WrittenRecord;

    public function __construct(public string $id, public string $name, public ?Figure $figure, public string $where) {}
}
