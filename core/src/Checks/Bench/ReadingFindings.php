<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Bench;

use EmberDusk\Bench\Log\IslandIds;
use EmberDusk\Bench\Log\LogEntry;
use EmberDusk\Bench\Log\ReadingEvidence;
use EmberDusk\Bench\Log\Row;
use EmberDusk\Bench\Meter\Multimeter;
use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Circuit\Island;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;

/** Readings outside the expected band, and readings to confirm: none is dropped silently. */
final readonly class ReadingFindings extends Check
{
    private const SOURCE = 'the solved circuit, rails and supply within their tolerance, and the meter’s own error';

    public function rules(): array
    {
        return [
            new Rule('reading', 'test', 'every reading lies in the band of good wiring', self::SOURCE),
            new Rule('reading-asked', 'test', 'no reading looks like a typing error', Rule::PRACTICE),
            new Rule('reading-against', 'test', 'two readings at one place agree', Rule::PRACTICE),
            new Rule('reading-gone', 'test', 'every measured place is still in the plan', Rule::OWN),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $facts = $job->state->bench;
        if (array_filter($facts->entries, static fn(LogEntry $e): bool => $e->kind === 'reading') === []) {
            return [];
        }
        $findings = $ids = [];
        foreach (Island::all($job->plan) as $island) {
            $ids[] = $of = IslandIds::for($job->plan, $island);
            $run = (string) (array_key_first($island->parts) ?? array_key_first($island->fixtures));
            if ($facts->readings($island, $of) === []) {
                continue;
            }
            foreach (ReadingEvidence::from($job->plan, $island, $facts, $job->state->solver)->rows as $row) {
                array_push(
                    $findings,
                    ...$this->row($row, isset($island->parts[$row->spot->of ?? '']) ? $row->spot->of ?? $run : $run),
                );
            }
        }
        foreach ($facts->gone($ids) as $entry) {
            $findings[] = $this->gone($entry, '');
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function row(Row $row, string $run): array
    {
        $spot = $row->spot;
        if ($spot === null) {
            return [$this->gone($row->entry, $run)];
        }
        $place = new FindingPlace(JobStage::Bench, $run);
        $read = Multimeter::print((float) $row->entry->value, $spot->unit);
        if ($row->doubt !== null) {
            return [
                $this->rule('reading-asked')->open(
                    place: $place,
                    title: ucfirst($spot->words) . ": {$read}?",
                    detail: "{$row->doubt->asks} It is kept, and does not count until you confirm it.",
                ),
            ];
        }
        $findings = [];
        if ($row->against !== null) {
            $findings[] = $this->rule('reading-against')->open(
                place: $place,
                title: ucfirst($spot->words) . ' was read twice with different results',
                detail: sprintf(
                    '%s, then %s: they differ by more than the meter error. Read it a third time: something moves, such as a loose joint.',
                    Multimeter::print((float) $row->against->value, $spot->unit),
                    $read,
                ),
            );
        }
        if ($row->stands && Verdict::for($row) === Verdict::Outside && $row->range !== null) {
            $findings[] = $this->rule('reading')->watch(
                place: $place,
                title: sprintf(
                    '%s: %s, %s to %s expected',
                    ucfirst($spot->words),
                    $read,
                    Multimeter::print($row->range->low, $spot->unit),
                    Multimeter::print($row->range->high, $spot->unit),
                ),
                detail: 'Good wiring does not give that. Bench suggests the most useful next reading.',
                number: $row->entry->value,
                limit: (float) $row->entry->value < $row->range->low ? $row->range->low : $row->range->high,
            );
        }

        return $findings;
    }

    private function gone(LogEntry $entry, string $run): Finding
    {
        return $this->rule('reading-gone')->open(
            place: new FindingPlace(JobStage::Bench, $run),
            title: "A reading at {$entry->place}, which is not in the plan any more",
            detail: 'The plan was changed after it was read. It stays in the log and does not count; measure the current wiring.',
        );
    }
}
