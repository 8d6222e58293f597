<?php

declare(strict_types=1);

namespace App\Screens\Handover;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A link to the sheet for the client. */
final readonly class ClientLinkView implements View
{
    use WrittenRecord;

    public function __construct(public int $id, public string $url, public string $until) {}
}
