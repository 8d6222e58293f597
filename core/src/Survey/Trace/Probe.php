<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Trace;

/**
 * One measurement: at the far ends of some legs all cores are linked, at all others they are open; the tester is put on
 * two cores of one of the ends at hand. Legs and ends are counted from 0, cores from 1.
 */
final readonly class Probe
{
    /**
     * @param  int  $linked  bit n is set when the far end of leg n is linked
     * @param  array{int, int}  $cores
     */
    public function __construct(public int $linked, public int $end, public array $cores = [1, 2]) {}
}
