<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Bench;

use EmberDusk\Bench\Faults\Fault;
use EmberDusk\Bench\Faults\FaultDraw;
use EmberDusk\Bench\Faults\Predictions;
use EmberDusk\Values\Dice;

/** A fault by seed of all that an island can have: a kind, a place, and a size that readings can detect. */
final readonly class RandomFault
{
    /** Null if the island can have none. */
    public static function for(Predictions $of, int $seed): ?Fault
    {
        $draw = new FaultDraw($of);
        $dice = new Dice($seed);
        $kinds = [];
        foreach (array_keys($draw->all()) as $name) {
            $kinds[explode('@', $name)[0]][] = $name;
        }
        if ($kinds === []) {
            return null;
        }
        $names = self::pick($dice, array_values($kinds), 'kind');

        return $draw->named(self::pick($dice, $names, 'place'), $seed);
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    private static function pick(Dice $dice, array $of, string $occasion): mixed
    {
        return $of[(int) $dice->between(0, count($of) - 1e-9, $occasion)];
    }
}
