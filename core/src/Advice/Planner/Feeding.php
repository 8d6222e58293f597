<?php

declare(strict_types=1);

namespace EmberDusk\Advice\Planner;

/** Where a run can be fed: at its start, its end, both, the middle, or at two to six equal shares, (2j-1)/(2k) of the length. */
final readonly class Feeding
{
    private const MOST = 6;

    /** @param  non-empty-list<float>  $shares  0 is the start, 1 the end */
    private function __construct(public string $name, public array $shares)
    {
    }

    /** @return list<self> */
    public static function all(): array
    {
        $all = [new self('start', [0.0]), new self('end', [1.0]), new self('both ends', [0.0, 1.0]), new self('middle', [0.5])];
        for ($k = 2; $k <= self::MOST; $k++) {
            $all[] = new self("{$k} equal feeds", array_map(static fn (int $j): float => (2 * $j - 1) / (2 * $k), range(1, $k)));
        }

        return $all;
    }
}
