<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** How a run is made up, where that is not as usual: what may be joined, profile and diffuser, how its ends are sealed, when it is cut. The id is the run's. */
final readonly class Assembly implements JsonReadable
{
    use Record;

    /** Never a joint; only where a section is longer than any length; wherever that saves a length. */
    public const JOINTS = ['never', 'needed', 'saving'];

    /** Empty: silicone where it stays damp, nothing elsewhere. */
    public const SEALS = ['', 'silicone', 'glue'];

    /** Empty: to measure where it in profile, after fixing elsewhere. */
    public const CUTS = ['', 'after', 'before'];

    /**
     * @param  string  $strip  where the strip may be joined
     * @param  string  $length  where profile and diffuser may be joined
     * @param  string|null  $profile  shelf id; null takes the first that fits
     * @param  string|null  $diffuser  shelf id; null takes the first that fits
     * @param  string  $seal  sealing of its ends; empty: silicone where it stays damp, nothing elsewhere
     * @param  string  $cut  after or before fixing; empty: before where it goes into profile, after elsewhere
     */
    public function __construct(
        public string $id,
        #[Field(oneOf: self::JOINTS)] public string $strip = 'needed',
        #[Field(oneOf: self::JOINTS)] public string $length = 'needed',
        public ?string $profile = null,
        public ?string $diffuser = null,
        #[Field(oneOf: self::SEALS)] public string $seal = '',
        #[Field(oneOf: self::CUTS)] public string $cut = '',
    ) {}

    /** The same for another run. */
    public function forRun(string $run): self
    {
        return $this->withChanged(id: $run);
    }

    /** Whether all is as usual. */
    public function usual(): bool
    {
        return $this->write() === (new self($this->id))->write();
    }
}
