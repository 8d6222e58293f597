<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Figure;

/** A part to buy: count, cost and delivery. */
final readonly class PartRow implements View
{
    use WrittenRecord;

    /**
     * @param  list<string>  $why
     * @param  list<PartStep>  $steps
     */
    public function __construct(
        public string $key,
        public string $group,
        public string $name,
        public Figure $asked,
        public int $spare,
        public bool $usual,
        public Figure $buy,
        public ?Figure $cost,
        public string $foreign,
        #[Field(of: Field::TEXTS)] public array $why,
        public float $lead,
        public string $by,
        public bool $tooLate,
        public string $state,
        public string $arrives,
        public bool $late,
        #[Field(of: PartStep::class)] public array $steps,
        public bool $missing,
    ) {}
}
