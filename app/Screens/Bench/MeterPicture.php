<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Time\Clock;
use EmberDusk\Bench\Faults\BenchRun;
use EmberDusk\Bench\Faults\FaultBelief;
use EmberDusk\Bench\Faults\FaultWords;
use EmberDusk\Bench\Faults\NextReading;
use EmberDusk\Bench\Faults\Predictions;
use EmberDusk\Bench\Log\BenchFacts;
use EmberDusk\Bench\Log\Calibration;
use EmberDusk\Bench\Log\ReadingEvidence;
use EmberDusk\Bench\Log\Row;
use EmberDusk\Bench\Meter\ExpectedReadings;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\MeterSpot;
use EmberDusk\Bench\Meter\MeterSpots;
use EmberDusk\Bench\Meter\Multimeter;
use EmberDusk\Bench\Meter\Reading;
use EmberDusk\Checks\Bench\Verdict;
use EmberDusk\Circuit\Conditions;
use EmberDusk\Circuit\Island;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;
use EmberDusk\Values\Range;
use EmberDusk\Values\Refusal;

/** The wiring with meter positions, readings with their bands, the fault probabilities and the next reading. */
final readonly class MeterPicture
{
    /** Number of listed classes, and their least probability. */
    private const MOST = 4;

    private const LEAST = 0.02;

    /** Pairs of faults, and faults not ruled out yet, that are listed. */
    private const PAIRS = 2;

    private const OPEN = 4;

    public static function for(JobState $state, BenchFacts $facts, Island $island, Run $run): BenchMeter
    {
        $plan = $state->plan;
        $evidence = ReadingEvidence::from($plan, $island, $facts, $state->solver);
        $readings = $evidence->readings();
        $calibration = $evidence->expected !== null ? Calibration::from($evidence->expected, $readings) : null;
        $said = [
            'belief' => [],
            'pairs' => [],
            'open' => [],
            'next' => null,
            'sure' => false,
            'acts' => false,
            'refused' => '',
        ];
        if ($readings !== []) {
            try {
                $said = self::belief($plan, $state->solver->predictions($plan, $island, $run), $readings);
            } catch (Refusal $refusal) {
                $said['refused'] = $refusal->getMessage();
            }
        }

        $calibrated = null;
        if ($calibration !== null) {
            $calibrated = new BenchCalibrated(
                rails: self::percent($calibration->rails(), Conditions::rails()->rail - 1),
                supplies: self::percent($calibration->supplies(), Conditions::charging()->supply - 1),
                joints: array_map(
                    static fn(array $j): string => sprintf(
                        '%s: %.1f to %.1f mΩ (was %.1f)',
                        $j['words'],
                        1000 * $j['now']->low,
                        1000 * $j['now']->high,
                        1000 * $j['was'],
                    ),
                    $calibration->joints(),
                ),
            );
        }

        return new BenchMeter(
            ...[
                'wiring' => WiringRows::for($plan, $island, $run),
                'spots' => array_map(self::spot(...), MeterSpots::for($plan, $island)),
                'commands' => self::commands($plan, $island),
                'rows' => array_map(static fn(Row $r): BenchReading => self::row($r, $calibration), $evidence->rows),
                'tolerances' => ExpectedReadings::tolerances(),
                'off' => Multimeter::words(),
                'calibrated' => $calibrated,
            ] + $said,
        );
    }

    /**
     * @param  list<Reading>  $readings
     * @return array{
     *     belief: list<BenchBelief>,
     *     pairs: list<non-empty-list<BenchPairFault>>,
     *     open: list<string>,
     *     next: BenchNext|null,
     *     sure: bool,
     *     acts: bool,
     *     refused: string,
     * }
     */
    private static function belief(Plan $plan, Predictions $predictions, array $readings): array
    {
        $told = FaultBelief::telling($readings);
        $belief = FaultBelief::from($predictions, $told);
        $words = new FaultWords($plan);
        $sure = BenchRun::enough($belief, $told);
        $rows = [];
        foreach (array_slice($belief->classes, 0, self::MOST) as $class => $share) {
            $fault = $belief->fault($class);
            if ($share >= self::LEAST) {
                $size = '';
                $mend = '';
                if ($fault !== null) {
                    $size = $words->size($fault);
                    $mend = $words->mend($fault);
                }
                $rows[] = new BenchBelief(
                    class: $class,
                    words: ucfirst($words->class($belief, $class)),
                    share: $share,
                    size: $size,
                    mend: $mend,
                );
            }
        }
        $next = !$sure ? (new NextReading())->next($belief, $told) : null;

        return [
            'belief' => $rows,
            'pairs' => self::pairs($belief, $words),
            'open' => self::open($belief, $words),
            'next' => $next === null ? null : self::next($belief, $words, $next[0], $next[1]),
            'sure' => $sure,
            // Six readings without a conclusion: the likeliest may be tried while more is read.
            'acts' => $sure || $next === null || count($told) >= BenchRun::MOST,
            'refused' => '',
        ];
    }

    /**
     * Two faults that explain the readings together, where that is likelier than any one of them.
     *
     * @return list<non-empty-list<BenchPairFault>>
     */
    private static function pairs(FaultBelief $belief, FaultWords $words): array
    {
        if ($belief->top() !== FaultBelief::SEVERAL) {
            return [];
        }
        $pairs = [];
        foreach (array_slice($belief->pairs, 0, self::PAIRS) as $pair) {
            $faults = [];
            foreach ($pair as $fault) {
                $faults[] = new BenchPairFault(
                    class: $fault->class(),
                    words: ucfirst($words->fault($belief, $fault)),
                    mend: $words->mend($fault),
                );
            }
            $pairs[] = $faults;
        }

        return $pairs;
    }

    /** @return list<string> faults that the readings so far would not have shown, shortened to a few */
    private static function open(FaultBelief $belief, FaultWords $words): array
    {
        $open = [];
        foreach (array_slice($belief->open, 0, self::OPEN) as $class) {
            $open[] = $words->class($belief, $class);
        }
        $more = count($belief->open) - self::OPEN;
        if ($more > 0) {
            $open[] = "{$more} more";
        }

        return $open;
    }

    private static function next(
        FaultBelief $belief,
        FaultWords $words,
        MeterSpot $spot,
        MeterCommand $command,
    ): BenchNext {
        $key = "{$command->key} {$spot->id}";
        $expects = [];
        foreach (array_slice($belief->classes, 0, 3) as $class => $share) {
            $value = $belief->expects((string) $class, $key);
            if ($value !== null && $share >= self::LEAST) {
                $expects[] = new BenchExpects(
                    words: $words->class($belief, (string) $class),
                    text: Multimeter::print($value, $spot->unit),
                );
            }
        }

        return new BenchNext(
            spot: $spot->id,
            command: $command->key,
            words: "{$spot->words}, {$command->words()}",
            expects: $expects,
        );
    }

    private static function spot(MeterSpot $spot): BenchSpot
    {
        return new BenchSpot(
            id: $spot->id,
            of: $spot->of,
            words: $spot->words,
            unit: $spot->unit,
            metres: $spot->metres,
        );
    }

    /** @return list<BenchChoice> */
    private static function commands(Plan $plan, Island $island): array
    {
        $keys = [MeterCommand::FULL, MeterCommand::DARK];
        foreach ($island->parts as $parts) {
            if (count($parts->tails) > 1) {
                foreach (array_keys($parts->tails) as $feed) {
                    $keys[] = "lifted:{$feed}";
                }
            }
            for (
                $n = 1;
                $parts->controller !== null &&
                $n <= count($parts->strip->channels) &&
                count($parts->strip->channels) > 1;
                $n++
            ) {
                $keys[] = "colour:{$n}";
            }
        }

        return array_map(
            static fn(string $key): BenchChoice => new BenchChoice(key: $key, words: MeterCommand::read($key)->words()),
            array_values(array_unique($keys)),
        );
    }

    private static function row(Row $row, ?Calibration $calibration): BenchReading
    {
        $e = $row->entry;
        $key = "{$e->command} {$e->place}";
        $new = $row->spot !== null ? $calibration?->range($key) : null;

        $against =
            $row->against !== null ? Multimeter::print((float) $row->against->value, $row->spot->unit ?? '') : '';
        $band = $row->range !== null && $row->spot !== null ? self::figure($row->range, $row, $new) : null;

        return new BenchReading(
            uuid: $e->uuid,
            at: Clock::local($e->at)->format('Y-m-d H:i'),
            who: $e->who,
            spot: $e->place,
            command: $e->command,
            words: $row->spot->words ?? "{$e->place}, which is no longer in the plan",
            commandWords: MeterCommand::read($e->command)->words(),
            value: (float) $e->value,
            text: Multimeter::print((float) $e->value, $row->spot->unit ?? ''),
            unit: $row->spot->unit ?? '',
            low: $row->range?->low,
            high: $row->range?->high,
            newLow: $new?->low,
            newHigh: $new?->high,
            meter: Multimeter::tolerance((float) $e->value),
            verdict: Verdict::for($row)->value,
            stands: $row->stands,
            asks: $row->doubt->asks ?? '',
            meant: $row->doubt?->meant,
            against: $against,
            band: $band,
        );
    }

    private static function figure(Range $range, Row $row, ?Range $new): Figure
    {
        $middle = ($range->low + $range->high) / 2;
        $off = ($range->high - $range->low) / 2;

        $decimals = 4;
        if (abs($range->high) >= 0.2) {
            $decimals = abs($range->high) < 2 ? 3 : 2;
        }

        return new Figure(
            label: 'Good wiring: at most',
            value: $range->high,
            unit: $row->spot->unit ?? 'V',
            decimals: $decimals,
            formula: 'b + t',
            inputs: [
                new Input(
                    'b',
                    'solved, as planned',
                    $middle,
                    $row->spot->unit ?? 'V',
                    path: 'solver.' . ($row->spot->id ?? ''),
                ),
                new Input(
                    't',
                    ExpectedReadings::tolerances() . ' carried through',
                    $off,
                    $row->spot->unit ?? 'V',
                    path: 'solver.tolerance',
                ),
            ],
            assumption: ($new === null
                ? 'From shelf: the strip’s entry. '
                : 'From readings of this job the band is narrower. ') .
                sprintf(
                    'Doubtful within ±%s of it: the meter error, %s.',
                    Multimeter::print(Multimeter::tolerance((float) $row->entry->value), $row->spot->unit ?? ''),
                    Multimeter::words(),
                ),
            source: 'common practice, no source',
            range: $range,
        );
    }

    private static function percent(Range $factor, float $tolerance): BenchRange
    {
        return new BenchRange(
            now: sprintf('%+.1f to %+.1f %%', 100 * ($factor->low - 1), 100 * ($factor->high - 1)),
            was: sprintf('%+.0f to %+.0f %%', -100 * $tolerance, 100 * $tolerance),
        );
    }
}
