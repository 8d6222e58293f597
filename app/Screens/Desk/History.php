<?php

declare(strict_types=1);

namespace App\Screens\Desk;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** The newest revisions of a job. */
final readonly class History implements View
{
    use WrittenRecord;

    /**
     * @param  list<HistoryLine>  $history
     */
    public function __construct(#[Field(of: HistoryLine::class)] public array $history) {}
}
