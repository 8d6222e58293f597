<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;
use EmberDusk\Values\Copies;

/** How a run is made up, where that is not as usual: what may be joined, profile and diffuser, how its ends are sealed, when it is cut. The id is the run's. */
final readonly class Assembly
{
    use Copies;

    /** Never a joint; only where a section is longer than any length; wherever that saves a length. */
    public const JOINTS = ['never', 'needed', 'saving'];

    /** Empty: silicone where it stays damp, nothing elsewhere. */
    public const SEALS = ['', 'silicone', 'glue'];

    /** Empty: to measure where it in profile, after fixing elsewhere. */
    public const CUTS = ['', 'after', 'before'];

    /**
     * @param  string  $strip  of JOINTS, for the strip
     * @param  string  $length  of JOINTS, for profile and diffuser
     * @param  string|null  $profile  shelf id; null takes the first that fits
     * @param  string|null  $diffuser  likewise
     * @param  string  $seal  of SEALS
     * @param  string  $cut  of CUTS
     */
    public function __construct(
        public string $id,
        public string $strip = 'needed',
        public string $length = 'needed',
        public ?string $profile = null,
        public ?string $diffuser = null,
        public string $seal = '',
        public string $cut = '',
    ) {}

    public static function read(Fields $f): self
    {
        return new self(
            id: $f->string('id'),
            strip: $f->oneOf('strip', self::JOINTS),
            length: $f->oneOf('length', self::JOINTS),
            profile: $f->stringOrNull('profile'),
            diffuser: $f->stringOrNull('diffuser'),
            seal: $f->oneOf('seal', self::SEALS),
            cut: $f->oneOf('cut', self::CUTS),
        );
    }

    /** @return array<string, string|null> */
    public function write(): array
    {
        return [
            'id' => $this->id,
            'strip' => $this->strip,
            'length' => $this->length,
            'profile' => $this->profile,
            'diffuser' => $this->diffuser,
            'seal' => $this->seal,
            'cut' => $this->cut,
        ];
    }

    /** The same for another run. */
    public function of(string $run): self
    {
        return $this->withChanged(id: $run);
    }

    /** Whether all is as usual. */
    public function usual(): bool
    {
        return $this->write() === (new self($this->id))->write();
    }
}
