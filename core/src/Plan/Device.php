<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** A supply, controller, hub or dimming module of the job: one unit of a shelf entry, or a battery of blocks. */
final readonly class Device implements JsonReadable
{
    use Record;

    /**
     * @param  string|null  $setting the light type of its switch or jumper; null if unknown
     * @param  int  $series  blocks of a battery
     * @param  int  $parallel  rows of a battery
     * @param  Standing|null  $stands position; null if unknown
     * @param  string|null  $bank  of a converter: the bank that it takes its power from
     * @param  bool  $there existing: neither bought nor fixed
     * @param  bool  $used  it was in use before: it may belong to another network
     */
    public function __construct(
        public string $id,
        public string $kit,
        public ?string $setting = null,
        #[Field(1, 40)] public int $series = 1,
        #[Field(1, 40)] public int $parallel = 1,
        public ?Standing $stands = null,
        public ?string $bank = null,
        public bool $there = false,
        public bool $used = false,
    ) {}

    public function withKit(string $kit): self
    {
        return new self($this->id, $kit, stands: $this->stands, bank: $this->bank, there: $this->there);
    }

    /** Another unit like it, beside it. */
    public function as(string $id): self
    {
        return $this->withChanged(id: $id);
    }

    public function set(?string $setting): self
    {
        return $this->withChanged(setting: $setting);
    }

    public function blocks(int $series, int $parallel): self
    {
        return $this->withChanged(series: $series, parallel: $parallel);
    }

    public function already(bool $there): self
    {
        return $this->withChanged(there: $there);
    }

    public function on(?string $bank): self
    {
        return $this->withChanged(bank: $bank);
    }

    public function standing(?Standing $where): self
    {
        return $this->withChanged(stands: $where);
    }

    public function used(bool $used): self
    {
        return $this->withChanged(used: $used);
    }

    /** Its position as text; empty if unknown. */
    public function where(): string
    {
        return $this->stands?->words() ?? '';
    }
}
