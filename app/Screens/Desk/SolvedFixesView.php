<?php

declare(strict_types=1);

namespace App\Screens\Desk;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Fixes that had to be calculated first. */
final readonly class SolvedFixesView implements View
{
    use WrittenRecord;

    /**
     * @param  list<SolvedFix>  $fixes
     */
    public function __construct(public int $revision, #[Field(of: SolvedFix::class)] public array $fixes) {}
}
