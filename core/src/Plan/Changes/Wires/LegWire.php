<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

/** An existing leg to use: its cable, length and leads. Metres. */
final readonly class LegWire
{
    /**
     * @param  string  $kit shelf id of its cable
     * @param  string  $with  shelf id of the new cable that leads to it
     * @param  float  $lead  metres of that
     * @param  array{string, string}  $ends  names in the notes: where it is fed, where it ends
     */
    public function __construct(
        public string $name,
        public string $kit,
        public float $length,
        public bool $measured,
        public string $laid,
        public string $with,
        public float $lead,
        public ?string $fuse,
        public array $ends,
    ) {}

    /** @return array<string, mixed> */
    public function write(): array
    {
        return [
            'name' => $this->name,
            'kit' => $this->kit,
            'length' => $this->length,
            'measured' => $this->measured,
            'laid' => $this->laid,
            'with' => $this->with,
            'lead' => $this->lead,
            'fuse' => $this->fuse,
            'ends' => $this->ends,
        ];
    }
}
