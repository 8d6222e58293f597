<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use EmberDusk\Checks\Judged;
use EmberDusk\Checks\Registry;
use EmberDusk\Job\JobState;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Facts;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Changes\Kit\ChooseKit;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Refusal;
use EmberDusk\Values\Severity;

/** What the shelf has for one place in the chain of a run, with what speaks against each here. */
final readonly class KitOptions
{
    /** Entries shown for one place in the chain; a larger shelf is searched on its own page. */
    private const MOST = 60;

    /**
     * What will do comes first, the least of it at the top; what is chosen is always there.
     *
     * @return list<array<string, mixed>>
     */
    public static function options(JobState $state, ?Run $run, string $kind, ?string $chosen): array
    {
        $ranked = [];
        foreach (
            [...$state->shelf->ofKind($kind), ...$kind === 'strip' ? $state->shelf->ofKind('pixels') : []]
            as $n => $snapshot
        ) {
            $gauge = $run === null ? null : Gauge::of($state->plan, $run, $snapshot->entry);
            $ranked[] = [
                $snapshot->entry->id() === $chosen ? 0 : 1,
                ...$gauge?->rank() ?? [0, 0.0],
                $n,
                $snapshot,
                $gauge,
            ];
        }
        usort($ranked, static fn(array $a, array $b): int => array_slice($a, 0, 4) <=> array_slice($b, 0, 4));
        $options = [];
        foreach (array_slice($ranked, 0, self::MOST) as [, , , , $snapshot, $gauge]) {
            $id = $snapshot->entry->id();
            $verdict = $run === null ? null : self::verdict($state, $run, $snapshot);
            $options[] = [
                'id' => $id,
                'name' => $snapshot->entry->name(),
                'facts' => Facts::of($snapshot->entry),
                'chosen' => $id === $chosen,
                'moved' => $id === $chosen && ($state->plan->kit[$id] ?? null)?->hash !== $snapshot->hash,
                'gauge' => $gauge?->toArray(),
                'verdict' => $verdict?->title,
                'severity' => $verdict?->severity->value,
            ];
        }

        return $options;
    }

    /** The worst that would be said of this entry in this run, before anything is solved. */
    private static function verdict(JobState $state, Run $run, KitSnapshot $snapshot): ?Finding
    {
        try {
            $plan = ChooseKit::of($run->id, $snapshot)->apply($state->plan);
        } catch (Refusal $t) {
            return new Finding(
                code: 'refused',
                severity: Severity::Open,
                title: $t->getMessage(),
                detail: '',
                place: new \EmberDusk\Values\Place('kit', $run->id),
            );
        }
        $kind = $snapshot->entry;
        $about = static fn(Finding $f): bool => $f->severity !== Severity::Open &&
            match (true) {
                $kind instanceof Supply => in_array($f->code, ['supply-volts', 'headroom', 'input-range'], true),
                $kind instanceof Controller => in_array($f->code, ['input-range', 'channels', 'controller-amps'], true),
                $kind instanceof Cable => $f->code === 'cores',
                default => $f->code !== 'cores',
            };
        $findings = Finding::worstFirst(
            array_values(array_filter(Registry::check(new Judged($plan, $plan->run($run->id), null, null)), $about)),
        );

        return $findings[0] ?? null;
    }
}
