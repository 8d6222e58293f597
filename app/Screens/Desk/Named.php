<?php

declare(strict_types=1);

namespace App\Screens\Desk;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A thing of the plan or the shelf by name. */
final readonly class Named implements View
{
    use WrittenRecord;

    public function __construct(public string $id, public string $name) {}
}
