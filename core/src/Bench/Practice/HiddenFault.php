<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Practice;

use EmberDusk\Bench\Channels\LeadConnection;
use EmberDusk\Bench\Channels\Pixels;
use EmberDusk\Values\InvalidInput;

/**
 * A practice fault in its text form: wiring as KIND@PLACE; leads as leads@RUN:ORDER:LOOSE:SETTING (numbers from 1, “-” for none); pixels as
 * pixels@RUN:ORDER:KIND, where KIND is right or wrong.
 */
final readonly class HiddenFault
{
    private function __construct(
        public string $name,
        public string $kind,
        public string $place,
        public LeadConnection|Pixels|null $way = null,
    ) {}

    /** @throws InvalidInput when it is none */
    public static function read(string $name): self
    {
        if (preg_match('/^leads@([a-z0-9-]+):([1-6]+):([1-6]*|-):([a-z]+|-)$/', $name, $m) === 1) {
            $loose = $m[3] !== '-' ? self::numbers($m[3]) : [];
            $setting = $m[4] !== '-' ? $m[4] : null;

            return new self(
                $name,
                'leads',
                $m[1],
                new LeadConnection(order: self::numbers($m[2]), loose: $loose, setting: $setting),
            );
        }
        if (preg_match('/^pixels@([a-z0-9-]+):([1-4]+):(right|wrong)$/', $name, $m) === 1) {
            return new self($name, 'pixels', $m[1], new Pixels(self::numbers($m[2]), $m[3] === 'wrong'));
        }
        if (preg_match('/^([a-z]+)@([a-z0-9:-]+)$/', $name, $m) === 1) {
            return new self($name, $m[1], $m[2]);
        }
        throw new InvalidInput("“{$name}” is not a fault; write it as KIND@PLACE.", '/faults');
    }

    /** The remaining fault after a part was fixed. */
    public function with(LeadConnection|Pixels $left): self
    {
        return new self($this->name, $this->kind, $this->place, $left);
    }

    /** @return list<int> from 0 */
    private static function numbers(string $digits): array
    {
        return array_map(static fn(string $d): int => (int) $d - 1, str_split($digits));
    }
}
