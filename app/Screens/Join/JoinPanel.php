<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A wall panel of a job, and whether it is on its wall already. */
final readonly class JoinPanel implements View
{
    use WrittenRecord;

    public function __construct(public string $id, public string $label, public string $name, public bool $fixed) {}
}
