<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/**
 * A piece of kit beside the chains of the runs: a ready-made set, a remote, a wall panel, a bridge, an assistant, a phone, a
 * home-automation server, modules that the client rearranges, a plug, a lead that forks.
 */
final readonly class Item implements JsonReadable
{
    use Record;

    /**
     * @param  string|null  $on its owner: a run for a set, a supply for modules, a cable for a plug or a fork
     * @param  Standing|null  $stands position; null if unknown, or if carried
     * @param  bool  $used  it was in use before: it may belong to another network
     */
    public function __construct(
        public string $id,
        public string $kit,
        public string $place,
        #[Field(1, 200)] public int $count,
        public ?string $on = null,
        public ?Standing $stands = null,
        public bool $used = false,
    ) {}

    public function standing(?Standing $where): self
    {
        return $this->withChanged(stands: $where);
    }

    public function in(string $place): self
    {
        return $this->withChanged(place: $place);
    }

    public function used(bool $used): self
    {
        return $this->withChanged(used: $used);
    }
}
