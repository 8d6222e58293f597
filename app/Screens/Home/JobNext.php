<?php

declare(strict_types=1);

namespace App\Screens\Home;

use App\Screens\View;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** The first open point of a job, with the stage and the place where it opens. */
final readonly class JobNext implements JsonReadable, View
{
    use Record;

    public function __construct(
        public string $code,
        public string $severity,
        public string $title,
        public string $stage,
        public string $place,
    ) {}
}
