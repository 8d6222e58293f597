<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use EmberDusk\Checks\Findings;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Registry;
use EmberDusk\Job\JobState;
use EmberDusk\Joining\ControlFit;
use EmberDusk\Kit\BatteryBlock;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Entry;
use EmberDusk\Kit\Facts;
use EmberDusk\Kit\InlineSwitch;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\Powers;
use EmberDusk\Kit\Strip;
use EmberDusk\Plan\Changes\Kit\ChooseKit;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Refusal;
use EmberDusk\Values\Severity;

/** Shelf entries for one place in the chain of a run, with their problems here. */
final readonly class KitOptions
{
    /** Entries shown for one place in the chain; a larger shelf is searched on its own page. */
    private const MOST = 60;

    /**
     * Sufficient entries first, the smallest at the top; the chosen one is always included.
     *
     * @param  list<string>  $kinds  of the shelf
     * @return list<Option>
     */
    public static function options(JobState $state, ?Run $run, array $kinds, ?string $chosen): array
    {
        $plan = $run === null ? $state->plan : self::alone($state->plan, $run);
        $ranked = [];
        foreach (array_merge(...array_map($state->shelf->ofKind(...), $kinds)) as $n => $snapshot) {
            $gauge = $run !== null ? Gauge::for($state->plan, $run, $snapshot->entry) : null;
            $misfit = $run === null ? ControlFit::misfit($state->plan, $snapshot) : null;
            $ranked[] = [
                'rank' => [
                    (int) ($snapshot->entry->id() !== $chosen),
                    (int) ($misfit !== null),
                    ...$gauge?->rank() ?? [0, 0.0],
                    $n,
                ],
                'kit' => $snapshot,
                'gauge' => $gauge,
                'misfit' => $misfit,
            ];
        }
        usort($ranked, static fn(array $a, array $b): int => $a['rank'] <=> $b['rank']);
        $options = [];
        foreach (array_slice($ranked, 0, self::MOST) as ['kit' => $snapshot, 'gauge' => $gauge, 'misfit' => $misfit]) {
            $id = $snapshot->entry->id();
            [$verdict, $severity] =
                $run === null
                    ? [$misfit, $misfit === null ? null : Severity::Watch->value]
                    : self::said($plan, $run, $snapshot);
            $options[] = new Option(
                id: $id,
                name: $snapshot->entry->name(),
                facts: [...Facts::for($snapshot->entry), ...Facts::assumed($snapshot->written)],
                chosen: $id === $chosen,
                moved: $id === $chosen && ($state->plan->kit[$id] ?? null)?->hash !== $snapshot->hash,
                gauge: $gauge?->write(),
                verdict: $verdict,
                severity: $severity,
            );
        }

        return $options;
    }

    /** @return array{string|null, string|null} problems with an entry here, or why it cannot be taken at all, and how much that matters */
    private static function said(Plan $plan, Run $run, KitSnapshot $snapshot): array
    {
        try {
            $verdict = self::verdict($plan, $run, $snapshot);
        } catch (Refusal $t) {
            return [$t->getMessage(), Severity::Open->value];
        }

        return [$verdict?->title, $verdict?->severity->value];
    }

    /** The worst finding that this entry would add to this run, before any solve. */
    private static function verdict(Plan $plan, Run $run, KitSnapshot $snapshot): ?Finding
    {
        $without = $snapshot->entry instanceof Strip ? $run->bare() : $run;
        $said = [];
        foreach (self::findings($plan->with(runs: [$run->id => $without] + $plan->runs), $run) as $finding) {
            $said[$finding->code . $finding->title] = true;
        }
        $now = self::slot($plan, $run, $snapshot->entry);
        // The run without its strip is the base for comparing strips; other existing kit has no such plan.
        $there = $now === $snapshot->entry->id() && !($snapshot->entry instanceof Strip);
        $new = array_filter(
            self::findings(ChooseKit::for($run->id, $snapshot)->apply($plan), $run),
            static fn(Finding $f): bool => $there || !isset($said[$f->code . $f->title]),
        );

        return array_values($new)[0] ?? null;
    }

    /** The current entry of that place. */
    private static function slot(Plan $plan, Run $run, Entry $entry): ?string
    {
        return match (true) {
            $entry instanceof Strip => $run->strip,
            $entry instanceof BatteryBlock => KitSlots::chosen($plan, $run, 'bank'),
            $entry instanceof Powers => $plan->supplies[(string) $run->supply]->kit ?? null,
            $entry instanceof InlineSwitch => KitSlots::chosen($plan, $run, 'switch'),
            $entry instanceof Controller => $plan->controllers[(string) $run->controller]->kit ?? null,
            default => null,
        };
    }

    /** The run and those that share its supply or its controller: others do not affect its kit. */
    private static function alone(Plan $plan, Run $run): Plan
    {
        return $plan->with(
            runs: array_filter(
                $plan->runs,
                static fn(Run $r): bool => $r->id === $run->id ||
                    ($r->supply !== null && $r->supply === $run->supply) ||
                    ($r->controller !== null && $r->controller === $run->controller) ||
                    ($r->place === $run->place && $r->word === $run->word),
            ),
        );
    }

    /** @return list<Finding> of the run and its kit, worst first, without open decisions */
    private static function findings(Plan $plan, Run $run): array
    {
        return array_values(
            array_filter(
                Findings::about($plan, [$run->id], Registry::check(JudgedJob::plan($plan, []), Registry::circuit())),
                static fn(Finding $f): bool => $f->severity !== Severity::Open,
            ),
        );
    }
}
