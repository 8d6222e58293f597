<?php

declare(strict_types=1);

namespace App\Screens\People;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A role that a person can have, with what it includes. */
final readonly class RoleView implements View
{
    use WrittenRecord;

    public function __construct(public string $role, public string $words) {}
}
