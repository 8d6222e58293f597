<?php

declare(strict_types=1);

namespace App\Screens\Desk;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Fix;

/** Fixes of a finding that were calculated after it was shown. */
final readonly class SolvedFix implements View
{
    use WrittenRecord;

    /**
     * @param  list<Fix>  $fixes
     */
    public function __construct(
        public string $code,
        public string $place,
        public string $title,
        #[Field(of: Fix::class)] public array $fixes,
    ) {}
}
