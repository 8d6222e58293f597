<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Survey\Copper;

/**
 * Ohm per metre of a strip's rails: as given, from their copper (rho / (w t)), or from one measured reel.
 *
 * The reel, fed at its start, all on. Its groups draw current in proportion to the volts above a bend E, so along it y = u - E obeys y'' = r g y,
 * hence y(0)/y(L) = cosh(kL) and the current at the start I = k y(L) sinh(kL) / r (the ladder's closed form). r is the loop: + and the returns in
 * parallel.
 */
final readonly class Rails
{
    /** @param  bool  $copper  calculated from copper at 20 °C, so that a warmer job makes it more */
    private function __construct(
        public float $plus,
        public float $return,
        public bool $copper,
        public string $source,
    ) {}

    /**
     * @param  float  $bend  volts where a group begins to draw
     *
     * @throws \EmberDusk\Values\Refusal
     */
    public static function read(Fields $f, int $channels, float $bend): self
    {
        if ($f->has('copper')) {
            $c = $f->object('copper');
            $thick = $c->number('thickness', 5, 400) * 1e-6;
            $ohms = static fn(string $width): float => Copper::RESISTIVITY /
                ($c->number($width, 0.2, 40) * 1e-3 * $thick);

            return new self($ohms('plusWidth'), $ohms('returnWidth'), true, 'copper rho / (w t), IEC 60028');
        }
        if ($f->has('reel')) {
            return self::reel($f, $f->object('reel'), $channels, $bend);
        }

        return new self($f->number('plusRail', 1e-4, 10), $f->number('returnRail', 1e-4, 10), false, 'the shelf');
    }

    private static function reel(Fields $f, Fields $reel, int $channels, float $bend): self
    {
        $start = $reel->number('startVolts', 1, 60);
        $end = $reel->number('endVolts', 0.5, 60);
        if ($end >= $start) {
            throw $reel->invalid(
                'endVolts',
                'The far end of a reel that is fed at its start has fewer volts than the start.',
            );
        }
        if ($end <= $bend) {
            throw $reel->invalid(
                'endVolts',
                sprintf('Below %.1f V the far end does not light: measure a shorter piece.', $bend),
            );
        }
        $length = $reel->number('length', 0.5, 100);
        $k = acosh(($start - $bend) / ($end - $bend)) / $length;
        $loop = ($k * ($end - $bend) * sinh($k * $length)) / $reel->number('amps', 0.01, 60);
        // All channels on: + carries all, each return its share. Equal unless the + rail is given.
        $plus = $f->numberOrNull('plusRail', 1e-4, 10) ?? $loop / (1 + 1 / $channels);
        $return = ($loop - $plus) * $channels;
        if ($return < 1e-4) {
            throw $f->invalid(
                'plusRail',
                sprintf('The measured reel has %.4f ohm/m both ways; the + rail alone cannot have %.4f.', $loop, $plus),
            );
        }

        return new self($plus, $return, false, 'one measured reel');
    }
}
