<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Options\NeedSet;
use EmberDusk\Options\OptionColumn;
use EmberDusk\Options\OptionQuestion;

/** Options of a run and the questions that sort them. */
final readonly class OptionsView implements View
{
    use WrittenRecord;

    /**
     * @param  list<OptionColumn>  $options
     * @param  list<OptionQuestion>  $asked
     * @param  list<OptionQuestion>  $needs  asked first
     * @param  list<NeedSet>  $sets  options for each combination of their answers
     */
    public function __construct(
        public string $run,
        public string $name,
        #[Field(of: OptionColumn::class)] public array $options,
        #[Field(of: OptionQuestion::class)] public array $asked,
        #[Field(of: OptionQuestion::class)] public array $needs,
        #[Field(of: NeedSet::class)] public array $sets,
    ) {}
}
