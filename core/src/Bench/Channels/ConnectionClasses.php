<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Channels;

/** All possible wrong connections, grouped into the classes that single colours can distinguish. */
final class ConnectionClasses
{
    private const MOST_LOOSE = 2;

    /** @var array<string, list<Explanation>> */
    private static array $known = [];

    /**
     * @param  string  $kind  of the strip: tunable, rgb, rgbw, rgbcct
     * @param  list<string>  $modes  that the controller's switch or jumper has; empty where it has none
     */
    public function __construct(private string $kind, private array $modes) {}

    /**
     * Leads of a switched strip: every order, up to two loose, or two that touch, at any setting of the switch that there is.
     *
     * @return list<Explanation>
     */
    public function leads(): array
    {
        return self::$known["{$this->kind} " . implode(' ', $this->modes)] ??= self::classes(
            $this->ways(),
            FallbackSetting::OUTPUTS[$this->kind],
            fn(LeadConnection $way, int $c): int => $way->shows($c, $this->kind),
        );
    }

    /**
     * Pixels: every order of the colours, and the wrong number of them.
     *
     * @return list<Explanation>
     */
    public static function pixels(int $colours): array
    {
        return self::$known["pixels {$colours}"] ??= self::classes(
            [
                ...array_map(
                    static fn(array $order): Pixels => new Pixels($order),
                    self::orders(range(0, $colours - 1)),
                ),
                new Pixels(range(0, $colours - 1), true),
            ],
            $colours,
            static fn(Pixels $way, int $c): int => $way->shows($c),
        );
    }

    /**
     * @template W of LeadConnection|Pixels
     *
     * @param  iterable<W>  $ways
     * @param  callable(W, int): int  $shows
     * @return list<Explanation>
     */
    private static function classes(iterable $ways, int $colours, callable $shows): array
    {
        $classes = [];
        foreach ($ways as $way) {
            $seen = array_map(static fn(int $c): int => $shows($way, $c), range(0, $colours - 1));
            $classes[implode(' ', $seen)][] = $way;
        }

        return array_map(
            static function (string $seen, array $ways): Explanation {
                usort(
                    $ways,
                    static fn(LeadConnection|Pixels $a, LeadConnection|Pixels $b): int => ($a instanceof LeadConnection
                        ? $a->faults()
                        : 0) <=> ($b instanceof LeadConnection ? $b->faults() : 0),
                );

                return new Explanation(array_map(intval(...), explode(' ', $seen)), $ways);
            },
            array_map(strval(...), array_keys($classes)),
            array_values($classes),
        );
    }

    /**
     * @return iterable<LeadConnection>
     */
    private function ways(): iterable
    {
        $n = FallbackSetting::OUTPUTS[$this->kind];
        $outputs = range(0, $n - 1);
        $loose = self::loose($outputs);
        yield new LeadConnection(order: $outputs, dead: true);
        foreach (self::orders($outputs) as $order) {
            foreach ($loose as $of) {
                yield new LeadConnection($order, $of);
                foreach (FallbackSetting::others($this->kind, $this->modes) as $setting) {
                    yield new LeadConnection(order: $order, loose: $of, setting: $setting);
                }
            }
            foreach ($outputs as $a) {
                foreach (array_slice($outputs, $a + 1) as $b) {
                    yield new LeadConnection(order: $order, short: [$a, $b]);
                }
            }
        }
    }

    /**
     * @param  list<int>  $outputs
     * @return list<list<int>> none, one, two of them
     */
    private static function loose(array $outputs): array
    {
        $sets = [[]];
        foreach ($outputs as $output) {
            foreach ($sets as $set) {
                if (count($set) < self::MOST_LOOSE) {
                    $sets[] = [...$set, $output];
                }
            }
        }

        return $sets;
    }

    /**
     * @param  list<int>  $of
     * @return list<list<int>> every order of them, in their first arrangement
     */
    private static function orders(array $of): array
    {
        if ($of === []) {
            return [[]];
        }
        $orders = [];
        foreach ($of as $first) {
            foreach (self::orders(array_values(array_diff($of, [$first]))) as $rest) {
                $orders[] = [$first, ...$rest];
            }
        }

        return $orders;
    }
}
