<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;
use EmberDusk\Survey\Site\CableLeg;

/** A cable from one thing to another (supply to controller, controller to feed), one-way length in metres. */
final readonly class LaidCable implements JsonReadable
{
    use Record;

    /** Installation method in the survey's words; empty if unknown. */
    public const LAID = ['', ...CableLeg::LAID];

    /**
     * @param  bool  $reckoned true for a calculated, unmeasured length
     * @param  string|null  $joint  connector at both ends, a shelf id; null where they are soldered
     * @param  string|null  $fuse  at its start, a shelf id
     * @param  string  $laid  installation method; empty if unknown
     * @param  string|null  $switch  in-line switch in it, a shelf id
     * @param  string  $leg  name of the leg in the notes that it is part of; empty where it is none
     * @param  bool  $existing part of an existing leg: not bought
     */
    public function __construct(
        public string $id,
        public string $kit,
        public string $from,
        public string $to,
        #[Field(0.01, 1000)] public float $length,
        public bool $reckoned,
        public ?string $joint = null,
        public ?string $fuse = null,
        public bool $existing = false,
        #[Field(oneOf: self::LAID)] public string $laid = '',
        public ?string $switch = null,
        #[Field(longest: 80)] public string $leg = '',
    ) {}

    public function from(string $id): self
    {
        return $this->withChanged(from: $id);
    }

    /** The same cable elsewhere, or by another name. */
    public function like(string $id, string $from, string $to): self
    {
        return $this->withChanged(id: $id, from: $from, to: $to);
    }

    public function withKit(string $kit): self
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

    public function fitted(?string $joint, ?string $fuse, ?string $switch): self
    {
        return $this->withChanged(joint: $joint, fuse: $fuse, switch: $switch);
    }
}
