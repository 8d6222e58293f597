<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use EmberDusk\Costing\Quote;
use EmberDusk\Job\JobState;
use EmberDusk\Job\Schedule;
use EmberDusk\Parts\Part;
use EmberDusk\Plan\Terms;
use EmberDusk\Schedule\Day;
use EmberDusk\Schedule\RemainingWork;
use EmberDusk\Schedule\Step;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;

/** The lines of the parts list, each number with its working, and which step waits for it. */
final readonly class PartRows
{
    /** @return list<PartRow> */
    public static function for(JobState $state): array
    {
        $schedule = $state->schedule();
        $soonest = $schedule->arrivals === [] ? $schedule->remaining() : $schedule->unhindered();

        return array_map(
            static fn(Part $p): PartRow => self::row($state, $schedule, $soonest, $p),
            $schedule->parts->parts,
        );
    }

    private static function row(JobState $state, Schedule $schedule, RemainingWork $soonest, Part $part): PartRow
    {
        $mark = $schedule->mark($part);
        $steps = array_filter(
            $schedule->remaining()->left,
            static fn(Step $s): bool => in_array($part->key, $s->needs, true),
        );
        uksort(
            $steps,
            static fn(string $a, string $b): int => $schedule->remaining()->timetable->begins[$a] <=>
                $schedule->remaining()->timetable->begins[$b],
        );
        $first = array_key_first($steps);
        // The day on which it would be needed if all were here, less the days that it takes to come.
        $needed = $first !== null ? substr($soonest->days->starts($soonest->timetable->begins[$first]), 0, 10) : null;
        if ($mark->state === '' && $part->paid() > 0 && $part->lead > 0 && $needed !== null) {
            $by = Day::after($needed, -(int) ceil($part->lead));
        } else {
            $by = '';
        }

        return new PartRow(
            key: $part->key,
            group: $part->group,
            name: $part->name,
            asked: self::asked($state->plan->terms, $part),
            spare: $part->spare,
            usual: !isset($state->plan->spares[$part->key]),
            buy: self::buy($state->plan->terms, $part),
            cost: self::cost($state, $part),
            foreign: $part->foreign,
            why: array_keys($part->why),
            lead: $part->lead,
            by: $by,
            tooLate: $by !== '' && $by < $schedule->today(),
            state: $mark->state,
            missing: $mark->missing() && $part->paid() > 0,
            arrives: $mark->arrives ?? '',
            late: $mark->late($state->today),
            steps: array_values(
                array_map(
                    static fn(Step $s): PartStep => new PartStep(
                        id: $s->id,
                        title: $s->title,
                        day: substr(
                            $schedule->remaining()->days->starts($schedule->remaining()->timetable->begins[$s->id]),
                            0,
                            10,
                        ),
                    ),
                    $steps,
                ),
            ),
        );
    }

    private static function asked(Terms $terms, Part $part): Figure
    {
        $inputs = [];
        [$per, $unit] = self::unit($terms, $part);
        foreach ($part->why as $words => $count) {
            $inputs[] = new Input(
                'a' . (count($inputs) + 1),
                $words,
                round($count * $per, 3),
                $unit,
                path: "parts.{$part->key}.why",
            );
        }

        $source = in_array($part->group, ['Fixing', 'Strain relief', 'Cleaning', 'Sealing', 'Cable'], true)
            ? 'common practice, no source'
            : '';

        return new Figure(
            label: 'Planned',
            value: $part->count * $per,
            unit: $unit,
            decimals: $part->count * $per === floor($part->count * $per) ? 0 : 2,
            formula: Input::sum($inputs),
            inputs: $inputs,
            source: $source,
        );
    }

    /** @return array{float, string} how many of the job's unit one of the part's is, and its name: feet where the job is in feet and inches */
    private static function unit(Terms $terms, Part $part): array
    {
        return match ($part->unit) {
            'm' => [$terms->inUnit(1.0), $terms->unit()],
            'piece' => [1.0, ''],
            default => [1.0, "{$part->unit}s"],
        };
    }

    private static function buy(Terms $terms, Part $part): Figure
    {
        [$per, $unit] = self::unit($terms, $part);
        $sold = ltrim(strpbrk($part->say($part->buy), ' ') ?: '');
        if ($part->cut) {
            $inputs = [
                new Input(
                    'l',
                    'reels or lengths of the cut list',
                    $part->buy - $part->spare,
                    '',
                    path: "parts: the cut list of {$part->key}",
                ),
                new Input('s', 'to spare', (float) $part->spare, '', path: "parts.{$part->key}.spare"),
            ];

            return new Figure(
                label: 'Buy',
                value: $part->buy,
                unit: $sold,
                decimals: 0,
                formula: 'l + s',
                inputs: $inputs,
                assumption: 'Whole reels and lengths, as drawn above.',
            );
        }
        $exact = ($part->count + $part->spare) / $part->each;
        $inputs = [
            new Input('n', 'planned', round($part->count * $per, 3), $unit, path: "parts.{$part->key}.count"),
            new Input('s', 'to spare', $part->spare * $per, $unit, path: "parts.{$part->key}.spare"),
            new Input('e', 'in one that is bought', $part->each * $per, $unit, path: "parts.{$part->key}.each"),
            new Input('r', 'rounded up to whole units', $part->buy - $exact, '', path: 'parts: whole ones'),
        ];

        $assumption =
            $part->spare > 0 ? '10 % more, at least one, or the number set here (common practice, no source).' : '';

        return new Figure(
            label: 'Buy',
            value: $part->buy,
            unit: $sold,
            decimals: 0,
            formula: '(n + s) / e + r',
            inputs: $inputs,
            assumption: $assumption,
        );
    }

    private static function cost(JobState $state, Part $part): ?Figure
    {
        $cost = $part->cost();
        if ($cost === null) {
            return null;
        }
        $currency = $state->plan->terms->currency;

        return new Figure(
            label: 'Cost',
            value: $cost,
            unit: $currency,
            decimals: 2,
            formula: '(b - o) * p',
            inputs: [
                new Input('b', 'bought', $part->buy, '', path: "parts.{$part->key}.buy"),
                new Input(
                    'o',
                    'the client’s own, as far as it goes',
                    $part->buy - $part->paid(),
                    '',
                    path: "plan.owned.{$part->key}.count",
                ),
                new Input(
                    'p',
                    $part->priced === '' ? 'price of one' : "price of one, from {$part->priced} by the job’s rate",
                    $part->price ?? 0.0,
                    $currency,
                    path: "shelf.{$part->key}.price",
                ),
            ],
            assumption: sprintf(
                'Purchase price without mark-up and tax. In the quote: %.2f.',
                Quote::partCents($part, $state->plan->terms) / 100,
            ),
            source: 'prices of the shelf',
        );
    }
}
