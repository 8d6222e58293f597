<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/** A supply: volts by its name, rated amps, ohm of its source, amps where it limits and where it trips. */
final readonly class Supply implements Powers
{
    /** Volts at no load; by its name unless it is a battery. */
    public float $emf;

    /**
     * @param  float|null  $lowest  volts of an empty battery
     * @param  float|null  $charging  volts of a battery on charge
     * @param  float|null  $inrushAmps  when it is switched on
     * @param  float|null  $derateAbove  °C of air above which it carries less
     * @param  float|null  $ampHours  of a battery
     * @param  bool  $overloadStated whether the overload current is from the instructions, or assumed
     * @param  float|null  $plateVa volt-amperes of its output, if on the nameplate
     * @param  bool  $plugIn  it goes straight into an outlet, without a lead
     */
    public function __construct(
        private string $id,
        private string $name,
        public float $volts,
        public float $ratedAmps,
        public float $sourceOhms,
        public float $limitAmps,
        public float $overloadAmps,
        ?float $emf = null,
        public ?float $lowest = null,
        public ?float $charging = null,
        public ?float $inrushAmps = null,
        public ?float $derateAbove = null,
        public ?float $ampHours = null,
        public bool $overloadStated = true,
        public ?float $plateVa = null,
        public bool $plugIn = false,
    ) {
        $this->emf = $emf ?? $volts;
    }

    /** Limit 1.1 and sustained overload 1.5 times the rating where the instructions are silent (docs/model.md 4 and 7). */
    public static function read(Fields $f): self
    {
        $rated = $f->number('ratedAmps', 0.01, 200);

        return new self(
            id: $f->string('id'),
            name: $f->string('name'),
            volts: $f->number('volts', 3, 60),
            ratedAmps: $rated,
            sourceOhms: $f->number('sourceOhms', 0.001, 10),
            limitAmps: $f->numberOr('limitAmps', 1.1 * $rated, $rated, 4 * $rated),
            // It cannot keep up more than the limit that its entry gives.
            overloadAmps: $f->numberOr(
                'overloadAmps',
                $f->numberOrNull('limitAmps') ?? 1.5 * $rated,
                $rated,
                4 * $rated,
            ),
            inrushAmps: $f->numberOrNull('inrushAmps', 0, 1000),
            derateAbove: $f->numberOrNull('derateAbove', 0, 100),
            overloadStated: $f->has('overloadAmps') || $f->has('limitAmps'),
            plateVa: $f->numberOrNull('plateVa', 0.1, 20_000),
            plugIn: $f->has('plugIn') && $f->flag('plugIn'),
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

    public function ratedWatts(): float
    {
        return $this->volts * $this->ratedAmps;
    }

    public function supply(int $series, int $parallel): self
    {
        return $this;
    }

    public function battery(): bool
    {
        return $this->charging !== null;
    }
}
