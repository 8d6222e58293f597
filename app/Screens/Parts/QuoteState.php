<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Plan\Terms;
use EmberDusk\Values\Figure;

/** Quote of the job, with what changed since it was given. */
final readonly class QuoteState implements View
{
    use WrittenRecord;

    /**
     * @param  list<string>  $unpriced
     * @param  list<QuoteLineView>  $parts
     * @param  list<QuoteLineView>  $work
     */
    public function __construct(
        public Figure $total,
        #[Field(of: Field::TEXTS)] public array $unpriced,
        public ?QuoteGiven $given,
        #[Field(of: QuoteLineView::class)] public array $parts,
        #[Field(of: QuoteLineView::class)] public array $work,
        public string $net,
        public string $tax,
        public Terms $terms,
    ) {}
}
