<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Options\SplitRow;

/** Ways to split a run, each solved and priced. */
final readonly class SplitsView implements View
{
    use WrittenRecord;

    /**
     * @param  int  $most  parts
     * @param  list<SplitRow>  $ways
     */
    public function __construct(
        public string $run,
        public string $name,
        public int $most,
        #[Field(of: SplitRow::class)] public array $ways,
    ) {}
}
