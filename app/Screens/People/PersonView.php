<?php

declare(strict_types=1);

namespace App\Screens\People;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A person of the crew. */
final readonly class PersonView implements View
{
    use WrittenRecord;

    /** @param  string  $job  name of a guest's job; empty for every other role */
    public function __construct(
        public int $id,
        public string $name,
        public string $email,
        public string $role,
        public bool $closed,
        public string $job,
    ) {}
}
