<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** The step that follows each answer, for use without a signal. */
final readonly class JoinAheadView implements View
{
    use WrittenRecord;

    /** @param  array<string, self>  $next  by answer */
    public function __construct(
        public JoinStepView $step,
        public float $at,
        #[Field(of: self::class, map: true)] public array $next,
    ) {}
}
