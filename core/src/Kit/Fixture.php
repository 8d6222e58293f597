<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/** A fixture: watts, how it is dimmed, and for one fed by a low-voltage supply the volts below which its converter gives up. */
final readonly class Fixture implements Entry
{
    /** Of its volts, where the instructions are silent (common practice, no source). */
    private const LEAST = 0.75;

    private function __construct(
        private string $id,
        private string $name,
        public float $watts,
        public string $dim,
        public float $volts,
        public float $leastVolts,
        public ?float $leastShare,
        public float $mostVolts,
    ) {}

    public static function read(Fields $f): self
    {
        $volts = $f->numberOr('volts', 230, 3, 300);

        return new self(
            id: $f->string('id'),
            name: $f->string('name'),
            watts: $f->number('watts', 0.1, 5000),
            dim: $f->string('dim', 20),
            volts: $volts,
            leastVolts: $f->numberOr('leastVolts', self::LEAST * $volts, 1, $volts),
            leastShare: $f->numberOrNull('leastShare', 0, 1),
            mostVolts: Kinds::limit('fixture', 'mostVolts', $f) ?? $volts,
        );
    }

    public function id(): string
    {
        return $this->id;
    }

    public function name(): string
    {
        return $this->name;
    }

    /** Whether it is fed by a supply of the job through its own cable. */
    public function lowVoltage(): bool
    {
        return $this->dim === 'supply';
    }
}
