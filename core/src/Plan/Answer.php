<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;

/** Manual decision about one light and one control: whether it is planned, and its zone. Undecided pairs follow from kit and place. */
final readonly class Answer
{
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
        public string $control,
        public string $light,
        public bool $wanted,
        public int $zone = 0,
    ) {}

    public static function read(Fields $f): self
    {
        return new self(
            $f->string('control', 40),
            $f->string('light', 40),
            $f->flag('wanted'),
            $f->whole('zone', 0, self::MOST_ZONES),
        );
    }

    public function id(): string
    {
        return self::key($this->control, $this->light);
    }

    public static function key(string $control, string $light): string
    {
        return "{$control}-{$light}";
    }

    /** @return array{id: string, control: string, light: string, wanted: bool, zone: int} */
    public function write(): array
    {
        return [
            'id' => $this->id(),
            'control' => $this->control,
            'light' => $this->light,
            'wanted' => $this->wanted,
            'zone' => $this->zone,
        ];
    }
}
