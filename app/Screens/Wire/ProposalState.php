<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Planner\ProposalAnswer;
use stdClass;

/** State of a proposal that is being worked out. */
final readonly class ProposalState implements View
{
    use WrittenRecord;

    public function __construct(
        public int $id,
        public string $state,
        public int $solved,
        public string $about,
        public string $message,
        #[Field(of: ProposalAnswer::class)] public ?stdClass $proposal,
    ) {}
}
