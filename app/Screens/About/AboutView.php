<?php

declare(strict_types=1);

namespace App\Screens\About;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Version of the application, and what ships with it. */
final readonly class AboutView implements View
{
    use WrittenRecord;

    /** @param  list<PackageView>  $packages */
    public function __construct(public string $version, #[Field(of: PackageView::class)] public array $packages) {}
}
