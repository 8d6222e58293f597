<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/** Makes steady volts of a battery's: input range, output, rated amps, the least load it regulates at. */
final readonly class Converter implements Powers
{
    /** Ohm at its output where the instructions are silent (common practice, no source). */
    private const OHMS = 0.01;

    public function __construct(
        private string $id,
        private string $name,
        public float $inputLeast,
        public float $inputMost,
        public float $volts,
        public float $ratedAmps,
        public float $leastAmps,
        public float $efficiency,
        public float $idleAmps = 0.0,
    ) {}

    public static function read(Fields $f): self
    {
        $converter = new self(
            id: $f->string('id'),
            name: $f->string('name'),
            inputLeast: $f->number('inputLeast', 3, 120),
            inputMost: $f->number('inputMost', 3, 120),
            volts: $f->number('volts', 3, 60),
            ratedAmps: $f->number('ratedAmps', 0.1, 200),
            leastAmps: $f->numberOr('leastAmps', 0, 0, 20),
            efficiency: $f->number('efficiency', 0.3, 1),
            idleAmps: $f->numberOr('idleAmps', 0, 0, 2),
        );
        if ($converter->inputMost <= $converter->inputLeast) {
            throw $f->invalid('inputMost', 'The input range ends below its start.');
        }

        return $converter;
    }

    public function id(): string
    {
        return $this->id;
    }

    public function name(): string
    {
        return $this->name;
    }

    /** Its output is its own supply, limited as any other (docs/model.md 4). */
    public function supply(int $series, int $parallel): Supply
    {
        return new Supply(
            id: $this->id,
            name: $this->name,
            volts: $this->volts,
            ratedAmps: $this->ratedAmps,
            sourceOhms: self::OHMS,
            limitAmps: 1.1 * $this->ratedAmps,
            overloadAmps: 1.5 * $this->ratedAmps,
            overloadStated: false,
        );
    }
}
