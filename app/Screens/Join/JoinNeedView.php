<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A thing that has to be there before the run begins. */
final readonly class JoinNeedView implements View
{
    use WrittenRecord;

    public function __construct(public string $key, public string $what, public string $detail, public bool $there) {}
}
