<?php

declare(strict_types=1);

namespace App\Screens\Desk;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** How far a stage is: unlit, glowing (open points), lit (done). */
final readonly class StageLamp implements JsonReadable, View
{
    use Record;

    /** @param  bool  $priced  whether it is about kit and costs: not for every role */
    public function __construct(
        public string $id,
        public int $number,
        public string $name,
        #[Field(oneOf: ['unlit', 'glowing', 'lit'])] public string $state,
        public int $open,
        public bool $priced,
    ) {}
}
