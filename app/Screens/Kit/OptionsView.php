<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Options of a run and the questions that sort them. */
final readonly class OptionsView implements View
{
    use WrittenRecord;

    /**
     * @param  list<array<string, mixed>>  $options
     * @param  list<array<string, mixed>>  $asked
     */
    public function __construct(
        public string $run,
        public string $name,
        #[Field(defined: 'Kit/kit.json#/$defs/optionCard')] public array $options,
        #[Field(defined: 'Kit/kit.json#/$defs/optionQuestion')] public array $asked,
    ) {}
}
