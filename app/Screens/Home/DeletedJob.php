<?php

declare(strict_types=1);

namespace App\Screens\Home;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A deleted job that can still be brought back. */
final readonly class DeletedJob implements View
{
    use WrittenRecord;

    /** @param  string  $until  YYYY-MM-DD, its last day */
    public function __construct(public int $id, public string $name, public string $client, public string $until) {}
}
