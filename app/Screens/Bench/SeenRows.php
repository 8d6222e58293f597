<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use EmberDusk\Bench\BenchObservation;
use EmberDusk\Bench\Channels\Explanation;
use EmberDusk\Bench\Channels\LeadConnection;
use EmberDusk\Bench\Channels\Pixels;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** Colours and counts with their answers and conclusions. */
final readonly class SeenRows
{
    private const PIXELS = ['#d0342c', '#2f8f46', '#2f5fc4', '#f3ead2'];

    public static function colours(Plan $plan, Run $run, BenchObservation $seen): ?BenchColours
    {
        $finder = $seen->finder;
        $words = $seen->words;
        if ($finder === null || $words === null) {
            return null;
        }
        $strip = $plan->strip($run->strip);
        $css =
            $strip?->pixels === null
                ? array_map(static fn($c): string => $c->colour, $strip->channels ?? [])
                : self::PIXELS;
        $found = $finder->found();
        $known = array_filter(
            $seen->answers,
            static fn(int $set, int $c): bool => $seen->knows($c, $set),
            ARRAY_FILTER_USE_BOTH,
        );

        $verdict = '';
        $moves = [];
        $leads = [];
        if ($found !== null) {
            $verdict = $words->verdict($found);
            $moves = $words->moves($found);
            $leads = self::leads($found);
        }

        return new BenchColours(
            pixels: $strip?->pixels !== null,
            names: $seen->colours,
            css: array_slice($css, 0, count($seen->colours)),
            asked: array_map(
                static fn(int $c, int $set): AskedColour => new AskedColour(
                    colour: $c,
                    seen: $set,
                    words: $words->seen($set),
                    right: $set === 1 << $c,
                ),
                array_keys($known),
                array_values($known),
            ),
            next: $finder->next(),
            left: count($finder->left),
            found: $found !== null,
            right: $found?->right() === true,
            verdict: $verdict,
            moves: $moves,
            leads: $leads,
            mends: ($strip?->pixels === null ? 'leads@' : 'pixels@') . $run->id,
        );
    }

    public static function count(Run $run, BenchObservation $seen): ?BenchCount
    {
        $count = $seen->count;
        if ($count === null) {
            return null;
        }

        return new BenchCount(
            verdict: $count->verdict,
            says: ucfirst($seen->says()),
            todo: $seen->todo(),
            set: $count->set,
            expected: array_sum($seen->sections ?? []),
            sections: $seen->sections ?? [],
            tries: array_map(static fn(array $t): BenchTry => new BenchTry(set: $t[0], lit: $t[1]), $seen->counts),
            mends: match ($count->verdict) {
                'kind' => "kind@{$run->id}",
                'joint' => "data@{$run->id}:" . (($count->section ?? 0) + 1),
                default => "count@{$run->id}",
            },
        );
    }

    /** @return list<BenchLead> where the lead in each output belongs */
    private static function leads(Explanation $found): array
    {
        $way = $found->ways[0];
        if ($way instanceof Pixels || $way->dead) {
            return [];
        }
        $rows = [];
        foreach ($way->order as $output => $colour) {
            $rows[] = new BenchLead(output: $output, to: $colour, state: self::state($way, $output));
        }

        return $rows;
    }

    private static function state(LeadConnection $way, int $output): string
    {
        return match (true) {
            in_array($output, $way->loose, true) => 'loose',
            $way->short !== null && in_array($output, $way->short, true) => 'touches',
            $way->setting !== null => 'open',
            $way->order[$output] !== $output => 'moved',
            default => 'right',
        };
    }
}
