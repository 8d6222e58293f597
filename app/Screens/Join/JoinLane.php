<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A device or app on the timeline. */
final readonly class JoinLane implements View
{
    use WrittenRecord;

    /**
     * @param  list<JoinBar>  $bars
     * @param  list<JoinMark>  $marks
     */
    public function __construct(
        public string $id,
        public string $label,
        public string $note,
        #[Field(of: JoinBar::class)] public array $bars,
        #[Field(of: JoinMark::class)] public array $marks,
    ) {}
}
