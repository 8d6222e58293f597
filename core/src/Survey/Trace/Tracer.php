<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Trace;

/**
 * Finds which end at hand belongs to which cable leg by continuity, with few measurements: everything is disconnected,
 * the tester stays at one end, far ends are linked or open. Always the measurement whose answer is most nearly even.
 *
 * Certain for at most one fault (a broken core, two joined legs), for up to five legs two. More than six legs are identified by binary codes: in
 * round r the legs whose number has bit r are linked, every end is measured.
 */
final readonly class Tracer
{
    /** Most legs whose cases are weighed in turn. */
    public const WEIGHED = 6;

    public const MOST = 40;

    private const TWO_FAULTS = 5;

    /** @param  non-empty-list<TracedLeg>  $legs  at most MOST */
    public function __construct(private array $legs) {}

    /**
     * The next measurement, or the result.
     *
     * @param  list<array{Probe, bool}>  $answers  each probe that was asked, and whether there was a tone
     */
    public function next(array $answers): Probe|TraceResult
    {
        $ends = array_values(
            array_filter($answers, fn(array $a): bool => $a[0]->cores === [1, 2] && !$this->full($a[0])),
        );
        $heard = count($this->legs) > self::WEIGHED ? BinaryTracing::heard($this->legs, $ends) : $this->weighed($ends);
        if ($heard instanceof Probe || $heard === null) {
            return $heard ?? TraceResult::unclear($this->legs);
        }

        return (new Cores($this->legs, $heard))->next($answers);
    }

    /**
     * @param  list<array{Probe, bool}>  $answers
     * @return Probe|list<int>|null what each end hears; null when nothing fits the answers
     */
    private function weighed(array $answers): Probe|array|null
    {
        // Once something is wrong for certain, a second fault is looked for too.
        $sound = self::fitting(Suspects::all($this->legs, 0), $answers) !== [];
        $cases = self::fitting(
            Suspects::all($this->legs, $sound || count($this->legs) > self::TWO_FAULTS ? 1 : 2),
            $answers,
        );
        if ($cases === []) {
            return null;
        }
        if (count($cases) === 1) {
            return array_map(ord(...), str_split((string) array_key_first($cases)));
        }
        $last = end($answers);

        return self::best($cases, count($this->legs), $this->linkable(), $last === false ? 0 : $last[0]->linked);
    }

    /**
     * @param  array<string, float>  $cases
     * @param  list<array{Probe, bool}>  $answers
     * @return array<string, float>
     */
    private static function fitting(array $cases, array $answers): array
    {
        return array_filter(
            $cases,
            static function (string $case) use ($answers): bool {
                foreach ($answers as [$probe, $tone]) {
                    if (((ord($case[$probe->end]) & $probe->linked) !== 0) !== $tone) {
                        return false;
                    }
                }

                return true;
            },
            ARRAY_FILTER_USE_KEY,
        );
    }

    /**
     * The most even question; among equals the links that are set already, then the fewest links.
     *
     * @param  array<string, float>  $cases
     */
    private static function best(array $cases, int $ends, int $linkable, int $set): Probe
    {
        $total = array_sum($cases);
        $best = null;
        $found = new Probe($linkable, 0);
        for ($end = 0; $end < $ends; $end++) {
            $heard = [];
            foreach ($cases as $case => $weight) {
                $mask = ord($case[$end]);
                $heard[$mask] = ($heard[$mask] ?? 0.0) + $weight;
            }
            for ($linked = 1; $linked <= $linkable; $linked++) {
                // All linked is how the cores are tested at the end.
                if (
                    ($linked & ~$linkable) !== 0 ||
                    ($linked === $linkable && $ends > 1 && $linkable !== ($linkable & -$linkable))
                ) {
                    continue;
                }
                $tone = 0.0;
                foreach ($heard as $mask => $weight) {
                    if (($mask & $linked) !== 0) {
                        $tone += $weight;
                    }
                }
                $rank = [
                    round(abs($tone / $total - 0.5), 9),
                    (int) ($linked !== $set),
                    substr_count(decbin($linked), '1'),
                    $end,
                    $linked,
                ];
                if ($tone > 0 && $tone < $total * (1 - 1e-12) && ($best === null || $rank < $best)) {
                    [$best, $found] = [$rank, new Probe($linked, $end)];
                }
            }
        }

        return $found;
    }

    /**
     * Whether a probe belongs to the test of the cores, where every far end that is known is linked.
     */
    private function full(Probe $probe): bool
    {
        $linkable = $this->linkable();

        return count($this->legs) > 1 && $probe->linked === $linkable && $linkable !== ($linkable & -$linkable);
    }

    public function linkable(): int
    {
        $linkable = 0;
        foreach ($this->legs as $n => $leg) {
            $linkable |= $leg->to === null ? 0 : 1 << $n;
        }

        return $linkable;
    }
}
