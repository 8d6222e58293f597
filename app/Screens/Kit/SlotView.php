<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Fix;

/** A slot of the kit with its options. */
final readonly class SlotView implements View
{
    use WrittenRecord;

    /**
     * @param  list<string>  $facts
     * @param  list<Option>  $options
     * @param  list<ShareOption>  $share
     * @param  Fix|null  $together  all alike runs of the place on one unit
     */
    public function __construct(
        public string $slot,
        public string $label,
        public ?string $chosen,
        public ?string $name,
        #[Field(of: Field::TEXTS)] public array $facts,
        #[Field(of: Option::class)] public array $options,
        #[Field(of: ShareOption::class)] public array $share,
        public bool $optional,
        public ?Fix $together = null,
    ) {}
}
