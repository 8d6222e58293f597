<?php

declare(strict_types=1);

namespace App\Screens\Handover;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Links of a job that are still valid. */
final readonly class ClientLinksView implements View
{
    use WrittenRecord;

    /** @param  list<ClientLinkView>  $links */
    public function __construct(#[Field(of: ClientLinkView::class)] public array $links) {}
}
