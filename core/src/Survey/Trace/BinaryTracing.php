<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Trace;

/** Many legs: a binary number for each, from 1, and a round for each of its bits; every end is measured in every round. */
final readonly class BinaryTracing
{
    /**
     * @param  non-empty-list<TracedLeg>  $legs
     * @param  list<array{Probe, bool}>  $answers
     * @return Probe|list<int>|null what each end hears
     */
    public static function heard(array $legs, array $answers): Probe|array|null
    {
        $numbers = [];
        foreach ($legs as $leg => $of) {
            if ($of->to !== null) {
                $numbers[$leg] = count($numbers) + 1;
            }
        }
        $rounds = strlen(decbin(count($numbers)));
        $done = count($answers);
        if ($done < $rounds * count($legs)) {
            $bit = intdiv($done, count($legs));
            $linked = 0;
            foreach ($numbers as $leg => $number) {
                $linked |= (($number >> $bit) & 1) << $leg;
            }

            return new Probe($linked, $done % count($legs));
        }
        $codes = array_fill(0, count($legs), 0);
        foreach ($answers as $n => [$probe, $tone]) {
            $codes[$probe->end] |= (int) $tone << intdiv($n, count($legs));
        }

        return self::decoded($numbers, $codes);
    }

    /**
     * An end's code is the number of its leg, 0 when nothing is heard, or two numbers over each other when legs are joined.
     *
     * @param  array<int, int>  $numbers  by leg
     * @param  array<int, int>  $codes  by end
     * @return list<int>|null
     */
    private static function decoded(array $numbers, array $codes): ?array
    {
        $legs = array_flip($numbers);
        $heard = array_map(
            static fn(int $code): int => $code === 0 || !isset($legs[$code]) ? 0 : 1 << $legs[$code],
            $codes,
        );
        $twice = array_filter(
            array_count_values($codes),
            static fn(int $n, int $code): bool => $code > 0 && ($n > 1 || !isset($legs[$code])),
            ARRAY_FILTER_USE_BOTH,
        );
        foreach ($twice as $code => $ends) {
            // The two that no end else is heard as, and whose numbers are over each other as this code.
            $missing = array_keys(
                array_filter($numbers, static fn(int $n): bool => !in_array($n, $codes, true) || $n === $code),
            );
            $pairs = [];
            foreach ($missing as $a) {
                foreach ($missing as $b) {
                    if ($a < $b && ($numbers[$a] | $numbers[$b]) === $code) {
                        $pairs[] = (1 << $a) | (1 << $b);
                    }
                }
            }
            if ($ends !== 2 || count($pairs) !== 1) {
                return null;
            }
            foreach ($codes as $end => $of) {
                $heard[$end] = $of === $code ? $pairs[0] : $heard[$end];
            }
        }

        return array_values($heard);
    }
}
