<?php

declare(strict_types=1);

namespace App\Screens\Desk;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A revision in the history. */
final readonly class HistoryLine implements View
{
    use WrittenRecord;

    public function __construct(public int $number, public string $words, public ?string $who, public string $at) {}
}
