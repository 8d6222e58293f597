<?php

declare(strict_types=1);

namespace App\Screens\People;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A job that a guest can be invited to. */
final readonly class JobChoice implements View
{
    use WrittenRecord;

    public function __construct(public int $id, public string $name) {}
}
