<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;

/**
 * A conductor size in mm² or AWG: its resistance and the ampacity of a flexible cable of it.
 *
 * The tables hold SI: ohm per metre at 20 °C, amps.
 */
final readonly class Conductor
{
    /** Greatest d.c. resistance at 20 °C in ohm/km, plain copper, IEC 60228:2004 (from memory). */
    private const IEC60228 = [
        'flexible' => [
            '0.5' => 39.0,
            '0.75' => 26.0,
            '1' => 19.5,
            '1.25' => 15.6,
            '1.5' => 13.3,
            '2.5' => 7.98,
            '4' => 4.95,
            '6' => 3.3,
            '10' => 1.91,
        ],
        'stranded' => [
            '0.5' => 36.0,
            '0.75' => 24.5,
            '1' => 18.1,
            '1.5' => 12.1,
            '2.5' => 7.41,
            '4' => 4.61,
            '6' => 3.08,
            '10' => 1.83,
        ],
    ];

    /** Amps of flexible cable by mm², BS 7671 table 4F3A (from memory). */
    private const FLEXIBLE_AMPS = [
        '0.5' => 3.0,
        '0.75' => 6.0,
        '1' => 10.0,
        '1.25' => 13.0,
        '1.5' => 16.0,
        '2.5' => 25.0,
        '4' => 32.0,
    ];

    /** Amps of fixed two-core cable by mm² and by how it is laid, BS 7671 table 4D5 (from memory). */
    private const FIXED_AMPS = [
        'surface' => ['1' => 16.0, '1.5' => 20.0, '2.5' => 27.0, '4' => 37.0, '6' => 47.0, '10' => 64.0],
        'conduit' => ['1' => 11.5, '1.5' => 14.5, '2.5' => 20.0, '4' => 26.0, '6' => 32.0, '10' => 44.0],
        'wall' => ['1' => 8.0, '1.5' => 10.0, '2.5' => 13.5, '4' => 17.5, '6' => 23.5, '10' => 32.0],
    ];

    /** Installation methods of that table; by default in an insulated wall, not touching its skin. */
    private const ROWS = ['surface' => 'surface', 'free' => 'surface', 'conduit' => 'conduit'];

    public const FIXED_SOURCE = 'BS 7671 table 4D5 (from memory)';

    /**
     * Amps of flexible cord by AWG, NEC 402.5 (from memory); 8 and 6 NEC 400.5(A), two conductors (from memory); 20 and thinner common practice, no
     * source.
     */
    private const AWG_AMPS = [
        26 => 1.0,
        24 => 2.0,
        22 => 3.0,
        20 => 5.0,
        18 => 6.0,
        16 => 8.0,
        14 => 17.0,
        12 => 23.0,
        10 => 28.0,
        8 => 40.0,
        6 => 55.0,
    ];

    private function __construct(
        public string $system,
        public string $size,
        public string $make,
        public float $ohmsPerMetre,
        public ?float $capacity,
        public string $resistanceSource,
        public string $capacitySource,
    ) {}

    /**
     * @param  string  $system  mm2 or awg
     * @param  string  $make  flexible (class 5), stranded (class 2) or solid (class 1, the same resistances) for mm2; solid, or stranded or flexible, for awg
     *
     * @throws Refusal when the tables do not hold that size
     */
    public static function from(string $system, float $size, string $make): self
    {
        if ($system === 'awg') {
            return self::awg($size, $make);
        }

        return self::metric($size, $make);
    }

    /** Printed size: "1.5 mm²" or "16 AWG". */
    public function label(): string
    {
        if ($this->system === 'awg') {
            return $this->size . ' AWG';
        }

        return $this->size . ' mm²';
    }

    /** Whether it is known to carry so many amps. */
    public function carries(float $amps): bool
    {
        return $this->capacity !== null && $this->capacity >= $amps;
    }

    /** Ohm of one core of that length in metres at a temperature in °C. */
    public function ohms(float $length, float $celsius): float
    {
        return $this->ohmsPerMetre * Copper::factor($celsius) * $length;
    }

    /**
     * Amps that it is rated for as a fixed two-core cable; null where the table does not hold the size.
     *
     * @param  string  $laid  as the survey says; anything that is not known counts as the worst
     */
    public function fixedAmps(string $laid): ?float
    {
        if ($this->system === 'awg') {
            return $this->capacity;
        }

        return self::FIXED_AMPS[self::ROWS[$laid] ?? 'wall'][$this->size] ?? null;
    }

    /** Cross-section in mm². */
    public function area(): float
    {
        return $this->system === 'awg'
            ? (M_PI / 4) * (1000 * self::awgDiameter((float) $this->size)) ** 2
            : (float) $this->size;
    }

    /** Diameter in metres, ASTM B258. */
    public static function awgDiameter(float $gauge): float
    {
        return 0.127e-3 * 92 ** ((36 - $gauge) / 39);
    }

    private static function metric(float $size, string $make): self
    {
        $key = (string) $size;
        $ohms =
            self::IEC60228[$make === 'solid' ? 'stranded' : $make][$key] ??
            throw new InvalidInput(
                "No resistance is known for {$key} mm², {$make}: use one of " .
                    implode(', ', array_keys(self::IEC60228['flexible'])) .
                    ' mm², flexible, stranded or solid.',
            );

        return new self(
            system: 'mm2',
            size: $key,
            make: $make,
            ohmsPerMetre: $ohms / 1000,
            capacity: self::FLEXIBLE_AMPS[$key] ?? null,
            resistanceSource: 'IEC 60228:2004, greatest resistance at 20 °C (from memory)',
            capacitySource: 'BS 7671 table 4F3A (from memory)',
        );
    }

    private static function awg(float $gauge, string $make): self
    {
        if (
            !in_array($make, ['solid', 'stranded', 'flexible'], true) ||
            $gauge < 0 ||
            $gauge > 40 ||
            $gauge !== floor($gauge)
        ) {
            throw new InvalidInput(
                "No wire is {$gauge} AWG, {$make}: use a whole gauge from 0 to 40, solid, stranded or flexible.",
            );
        }
        $area = (M_PI / 4) * self::awgDiameter($gauge) ** 2;
        $ohms = (Copper::RESISTIVITY / $area) * ($make === 'solid' ? 1 : Copper::STRANDING);
        $amps = self::AWG_AMPS[(int) $gauge] ?? null;

        return new self(
            system: 'awg',
            size: (string) $gauge,
            make: $make,
            ohmsPerMetre: $ohms,
            capacity: $amps,
            resistanceSource: 'ASTM B258 diameter, IEC 60028 copper',
            capacitySource: match (true) {
                $gauge >= 20 => 'common practice, no source',
                $gauge <= 8 => 'NEC 400.5 (from memory)',
                default => 'NEC 402.5 (from memory)',
            },
        );
    }
}
