<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Survey\Site\CableLeg;
use EmberDusk\Values\Copies;

/** A cable from one thing to another (supply to controller, controller to feed), one-way length in metres. */
final readonly class LaidCable
{
    use Copies;

    /** How it is laid, in the survey's words; empty while nobody has said. */
    public const LAID = ['', ...CableLeg::LAID];

    /**
     * @param  bool  $reckoned  true while the length is reckoned along the run and nobody has measured it
     * @param  string|null  $joint  connector at both ends, a shelf id; null where they are soldered
     * @param  string|null  $fuse  at its start, a shelf id
     * @param  string  $laid  of LAID
     * @param  bool  $existing  it is part of a leg that lies there already: nobody buys it
     */
    public function __construct(
        public string $id,
        public string $kit,
        public string $from,
        public string $to,
        public float $length,
        public bool $reckoned,
        public ?string $joint = null,
        public ?string $fuse = null,
        public bool $existing = false,
        public string $laid = '',
    ) {}

    public function from(string $id): self
    {
        return $this->withChanged(from: $id);
    }

    public function of(string $kit): self
    {
        return $this->withChanged(kit: $kit);
    }

    public function measured(float $length): self
    {
        return $this->withChanged(length: $length, reckoned: false);
    }

    public function reckonedAs(float $length): self
    {
        return $this->withChanged(length: $length, reckoned: true);
    }

    public function laid(string $how): self
    {
        return $this->withChanged(laid: $how);
    }

    public function fitted(?string $joint, ?string $fuse): self
    {
        return $this->withChanged(joint: $joint, fuse: $fuse);
    }
}
