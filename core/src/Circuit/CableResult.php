<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Values\Copies;

/**
 * Currents of a cable: amps out on its first core and back on the highest other core, volts lost both ways, and the highest amps of any core,
 * including one open feed where critical and a battery's lowest and highest volts.
 */
final readonly class CableResult
{
    use Copies;

    /**
     * @param  float  $cores  square root of half the sum of the squares of all cores' amps: what two cores would have to carry to warm it as much
     * @param  string  $when  that the most amps flow: as planned where it is empty, else the open feed's id, "lowest" or "charging"
     */
    public function __construct(
        public string $id,
        public float $outAmps,
        public float $backAmps,
        public float $drop,
        public float $openAmps,
        public float $coreOhms,
        public float $cores = 0.0,
        public string $when = '',
    ) {}

    /**
     * The worst of two states of the same cable; volts lost are those of the one that loses more.
     */
    public function most(self $other): self
    {
        [$lossy, $warm] = [
            $other->drop > $this->drop ? $other : $this,
            $other->openAmps > $this->openAmps ? $other : $this,
        ];

        return new self(
            id: $this->id,
            outAmps: $lossy->outAmps,
            backAmps: $lossy->backAmps,
            drop: $lossy->drop,
            openAmps: $warm->openAmps,
            coreOhms: $this->coreOhms,
            cores: max($this->cores, $other->cores),
            when: $warm->when,
        );
    }

    /**
     * With the most that flows in other states.
     *
     * @param  array<string, array<string, float>>  $open  amps by cable, by the state
     */
    public function opened(array $open): self
    {
        [$most, $when] = [$this->openAmps, $this->when];
        foreach ($open as $state => $amps) {
            if (($amps[$this->id] ?? 0.0) > $most) {
                [$most, $when] = [$amps[$this->id], (string) $state];
            }
        }

        return $this->withChanged(openAmps: $most, when: $when);
    }

    /** Amps of the fullest core. */
    public function amps(): float
    {
        return max($this->outAmps, $this->backAmps);
    }
}
