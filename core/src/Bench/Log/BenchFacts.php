<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Log;

use EmberDusk\Bench\Tests\Commander;
use EmberDusk\Circuit\Island;

/** A job's bench log: a fix closes the earlier readings and observations at the fixed part. */
final readonly class BenchFacts
{
    /** @var list<LogEntry> that count, in the order of time; without acceptances */
    public array $entries;

    /** @var array<string, LogEntry> acceptances of open points by the key of the finding; the last counts */
    public array $accepted;

    /** @param  list<LogEntry>  $entries by time, including the entries that strike others out */
    public function __construct(array $entries = [])
    {
        $struck = [];
        foreach ($entries as $e) {
            if ($e->kind === LogEntry::STRIKE) {
                $struck[$e->command] = true;
            }
        }
        $counting = $accepted = [];
        foreach ($entries as $e) {
            if ($e->kind === LogEntry::STRIKE || isset($struck[$e->uuid])) {
                continue;
            }
            if ($e->kind === LogEntry::ACCEPT) {
                $accepted[$e->command] = $e;
            } else {
                $counting[] = $e;
            }
        }
        $this->entries = $counting;
        $this->accepted = $accepted;
    }

    /** @return array<string, LogEntry> tests that did not end as expected, by the id of the test; a fix at the run closes them */
    public function failed(): array
    {
        $failed = [];
        foreach ($this->entries as $e) {
            if ($e->kind === 'mend') {
                $failed = array_filter($failed, static fn(LogEntry $f): bool => $f->place !== $e->place);
            } elseif ($e->kind === LogEntry::FAIL) {
                $failed[$e->command] = $e;
            }
        }

        return $failed;
    }

    /** @return array<int, int> colours that lit, by the colour (from 0) that was commanded alone; the last answer counts */
    public function colours(string $run): array
    {
        $seen = [];
        foreach ($this->entries as $e) {
            if ($e->kind === 'mend' && $e->place === $run) {
                $seen = [];
            } elseif (
                $e->kind === 'colour' &&
                $e->place === $run &&
                preg_match('/^colour:(\d)$/', $e->command, $m) === 1
            ) {
                $seen[(int) $m[1] - 1] = (int) $e->value;
            }
        }

        return $seen;
    }

    /** @return list<array{int, int}> counts that were set, and the last pixel that lit */
    public function counts(string $run): array
    {
        $seen = [];
        foreach ($this->entries as $e) {
            if ($e->kind === 'mend' && $e->place === $run) {
                $seen = [];
            } elseif ($e->kind === 'count' && $e->place === $run) {
                $seen[] = [(int) substr($e->command, strlen('count:')), (int) $e->value];
            }
        }

        return $seen;
    }

    /** @return list<LogEntry> readings in an island since something in it was fixed last */
    public function readings(Island $island, IslandIds $ids): array
    {
        $readings = [];
        foreach ($this->entries as $e) {
            if ($e->kind === 'mend' && $ids->has($e->place)) {
                $readings = [];
            } elseif ($e->kind === 'reading' && $ids->has(IslandIds::part($e->place))) {
                $readings[] = $e;
            }
        }

        return $readings;
    }

    /**
     * Readings at places that no island has.
     *
     * @param  list<IslandIds>  $islands
     * @return list<LogEntry>
     */
    public function gone(array $islands): array
    {
        return array_values(
            array_filter($this->entries, static function (LogEntry $e) use ($islands): bool {
                if ($e->kind !== 'reading') {
                    return false;
                }
                foreach ($islands as $ids) {
                    if ($ids->has(IslandIds::part($e->place))) {
                        return false;
                    }
                }

                return true;
            }),
        );
    }

    /** @return list<string> runs that a bench remote or bench hub commanded */
    public function borrowed(): array
    {
        $runs = [];
        foreach ($this->entries as $e) {
            if ($e->by !== '' && Commander::tryFrom($e->by)?->resetAfter() === true) {
                $runs[$e->place] = true;
            }
        }

        return array_keys($runs);
    }
}
