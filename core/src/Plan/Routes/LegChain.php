<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Routes;

/** Existing legs that meet end to end, used as one trunk: in order from the end that is fed. A single leg is the shortest. */
final readonly class LegChain
{
    /**
     * @param  non-empty-list<LegWay>  $legs
     * @param  list<LegEnd>  $ends  one more than legs
     * @param  float  $lead  metres of new cable to its first end
     */
    private function __construct(public array $legs, public array $ends, public float $lead) {}

    /**
     * Names of the legs of each chain of two and more, in order. It ends where three meet: which of them goes on is a choice.
     *
     * @param  array<string, LegWay>  $legs  by name
     * @return list<non-empty-list<string>>
     */
    public static function names(array $legs): array
    {
        $at = [];
        foreach ($legs as $name => $leg) {
            foreach ($leg->ends as $end) {
                $at[mb_strtolower($end->name)][] = (string) $name;
            }
        }
        $chains = $used = [];
        foreach ($at as $point => $names) {
            if (count($names) !== 1 || isset($used[$names[0]])) {
                continue;
            }
            $chain = [];
            for ($name = $names[0]; $name !== null; $name = $next) {
                $chain[] = $name;
                $used[$name] = true;
                $point = self::other($legs[$name], (string) $point);
                $next = count($at[$point]) === 2 ? array_values(array_diff($at[$point], [$name]))[0] ?? null : null;
            }
            if (count($chain) > 1) {
                $chains[] = $chain;
            }
        }

        return $chains;
    }

    /**
     * The legs as one trunk, fed at the end to which less new cable leads; null where they do not meet in this order.
     *
     * @param  non-empty-list<LegWay>  $legs
     * @param  callable(LegEnd): ?float  $lead metres to an end; null if unknown
     */
    public static function of(array $legs, callable $lead): ?self
    {
        $whole = self::from($legs, $legs[0]->ends) ?? self::from($legs, array_reverse($legs[0]->ends));

        return $whole === null ? null : self::fed($legs, $whole, $lead);
    }

    /** @param  callable(LegEnd): ?float  $lead metres to an end; null if unknown */
    public static function single(LegWay $leg, callable $lead): self
    {
        return self::fed([$leg], $leg->ends, $lead);
    }

    /**
     * @param  non-empty-list<LegWay>  $legs
     * @param  list<LegEnd>  $whole
     * @param  callable(LegEnd): ?float  $lead
     */
    private static function fed(array $legs, array $whole, callable $lead): self
    {
        [$a, $b] = [$lead($whole[0]), $lead($whole[count($legs)])];
        if ($a === null || $b === null) {
            return new self($legs, $whole, ExistingLegs::LEAD);
        }

        return $b < $a
            ? new self(array_reverse($legs), array_reverse($whole), round($b, 2))
            : new self($legs, $whole, round($a, 2));
    }

    /**
     * @param  non-empty-list<LegWay>  $legs
     * @param  list<LegEnd>  $ends  of the first, in order
     * @return list<LegEnd>|null
     */
    private static function from(array $legs, array $ends): ?array
    {
        foreach (array_slice($legs, 1) as $leg) {
            $here = $ends[count($ends) - 1]->name;
            $next = array_values(array_filter($leg->ends, static fn(LegEnd $e): bool => !self::same($e->name, $here)));
            if (count($next) !== 1) {
                return null;
            }
            $ends[] = $next[0];
        }

        return $ends;
    }

    private static function other(LegWay $leg, string $point): string
    {
        return mb_strtolower(self::same($leg->ends[0]->name, $point) ? $leg->ends[1]->name : $leg->ends[0]->name);
    }

    private static function same(string $a, string $b): bool
    {
        return mb_strtolower($a) === mb_strtolower($b);
    }
}
