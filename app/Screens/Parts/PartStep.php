<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A step that waits for a part. */
final readonly class PartStep implements View
{
    use WrittenRecord;

    public function __construct(public string $id, public string $title, public string $day) {}
}
