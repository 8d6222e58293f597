<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\ComputedField;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** Manual decision about one light and one control: whether it is planned, and its zone. Undecided pairs follow from kit and place. */
final readonly class Answer implements JsonReadable
{
    use Record;

    /** Zones that a control may have. */
    public const MOST_ZONES = 99;

    /** A phone controls its lights directly; it is not part of the job's kit. */
    public const PHONE = 'phone';

    /**
     * @param  string  $control  hub, or piece of kit beside the chains, or the phone
     * @param  string  $light  controller, or board beside the chains
     * @param  int  $zone  from 1; 0: the next that is free, or none where there are no zones
     */
    public function __construct(
        #[Field(longest: 40)] public string $control,
        #[Field(longest: 40)] public string $light,
        public bool $wanted,
        #[Field(0, self::MOST_ZONES)] public int $zone = 0,
    ) {}

    #[ComputedField]
    public function id(): string
    {
        return self::key($this->control, $this->light);
    }

    public static function key(string $control, string $light): string
    {
        return "{$control}-{$light}";
    }
}
