<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\Figure;
use EmberDusk\Values\JsonWritable;

/** An option as a column of the comparison. */
final readonly class OptionColumn implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  list<string>  $kit  names
     * @param  list<OptionReach>  $reach
     * @param  list<OptionFinding>  $findings
     * @param  string|null  $refused  why it is not possible
     * @param  string|null  $prepare  cells of the shelf entry that is lacking, as JSON
     * @param  ChangePayload|null  $take  the change that chooses it
     * @param  list<string>  $best  rows in which it is the best
     */
    public function __construct(
        public OptionWish $wish,
        #[Field(of: Field::TEXTS)] public array $kit,
        public ?Figure $load,
        public ?Figure $darkest,
        public ?Figure $evenness,
        public ?Figure $joints,
        public ?Figure $boxes,
        public ?Figure $quote,
        public ?Figure $cost,
        public ?Figure $hours,
        public ?Figure $energy,
        #[Field(of: OptionReach::class)] public array $reach,
        #[Field(of: OptionFinding::class)] public array $findings,
        public ?string $refused,
        public ?string $prepare,
        public ?ChangePayload $take,
        #[Field(of: Field::TEXTS)] public array $best,
    ) {}
}
