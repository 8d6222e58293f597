<?php

declare(strict_types=1);

namespace App\Screens\About;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A package or font that ships. */
final readonly class PackageView implements View
{
    use WrittenRecord;

    public function __construct(public string $name, public string $version, public string $licence) {}
}
