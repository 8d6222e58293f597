<?php

declare(strict_types=1);

namespace App\Screens\Desk;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A page of the revisions of a job, the newest first. */
final readonly class History implements View
{
    use WrittenRecord;

    /**
     * @param  list<HistoryLine>  $history
     * @param  bool  $earlier  whether there are more before them
     */
    public function __construct(#[Field(of: HistoryLine::class)] public array $history, public bool $earlier) {}
}
