<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** An app or hub and what it lists. */
final readonly class JoinApp implements View
{
    use WrittenRecord;

    /** @param  list<JoinListed>  $lines */
    public function __construct(
        public string $hub,
        public string $label,
        public bool $searches,
        #[Field(of: JoinListed::class)] public array $lines,
    ) {}
}
