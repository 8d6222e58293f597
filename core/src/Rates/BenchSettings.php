<?php

declare(strict_types=1);

namespace EmberDusk\Rates;

use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/**
 * Settings made while the lamps of the kit are still visible, before mounting: the one list (common practice, no source). The fourth channel comes
 * before the count.
 */
final readonly class BenchSettings
{
    public const WORDS = [
        'switch' => 'switch or jumper',
        'kind' => 'kind of pixel',
        'order' => 'order of the colours',
        'fourth' => 'fourth channel',
        'count' => 'count',
        'limit' => 'limit',
    ];

    /** @return list<string> keys of WORDS for a run of pixels, in their order; none for strip that is switched */
    public static function ofRun(Plan $plan, Run $run): array
    {
        $pixels = $plan->strip($run->strip)?->pixels;
        if ($pixels === null) {
            return [];
        }

        return [
            'kind',
            ...$pixels->colours === 4 ? ['fourth'] : [],
            'order',
            'count',
            ...$run->cap < 1 ? ['limit'] : [],
        ];
    }

    /**
     * In words: “kind of pixel, order of the colours, count”.
     *
     * @param  list<string>  $settings  keys of WORDS
     */
    public static function said(array $settings): string
    {
        return implode(', ', array_map(static fn(string $s): string => self::WORDS[$s], $settings));
    }
}
