<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

use EmberDusk\Bench\Log\LogEntry;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\Finding;

/** Faults and open decisions of a job, worst first, without accepted ones. */
final readonly class Findings
{
    public function __construct(private JobState $state) {}

    /** @return list<Finding> without accepted ones */
    public function for(): array
    {
        $accepted = $this->state->bench->accepted;

        return array_values(
            array_filter($this->all(), static fn(Finding $f): bool => !self::isAccepted($f, $accepted)),
        );
    }

    /** The finding with a key, accepted or not; null when it is not there. */
    public function find(string $key): ?Finding
    {
        foreach ($this->all() as $finding) {
            if ($finding->key() === $key) {
                return $finding;
            }
        }

        return null;
    }

    /** @return list<LogEntry> acceptances of findings that are still there, in the order of the findings */
    public function accepted(): array
    {
        $accepted = $this->state->bench->accepted;

        return array_values(
            array_map(
                static fn(Finding $f): LogEntry => $accepted[$f->key()],
                array_filter($this->all(), static fn(Finding $f): bool => self::isAccepted($f, $accepted)),
            ),
        );
    }

    /** @param  array<string, LogEntry>  $accepted  by key */
    private static function isAccepted(Finding $finding, array $accepted): bool
    {
        return $finding->acceptable() && isset($accepted[$finding->key()]);
    }

    /** @return list<Finding> */
    private function all(): array
    {
        return Registry::check(JudgedJob::for($this->state), Registry::all());
    }

    /**
     * The same with every fix that has to be solved.
     *
     * @return list<Finding>
     */
    public function mended(): array
    {
        $job = JudgedJob::for($this->state);

        return array_map(
            static fn(Finding $f): Finding => $f->asks ? $f->mended(Registry::mend($job, $f)) : $f,
            $this->for(),
        );
    }

    /**
     * Those whose place is one of these runs, or a feed, a cable or a device of theirs.
     *
     * @param  list<string>  $runs  ids
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    public static function about(Plan $plan, array $runs, array $findings): array
    {
        $ids = [];
        foreach ($runs as $id) {
            $run = $plan->run($id);
            $units = array_filter([$run->controller, ...$plan->ways()->suppliesOf($run)], is_string(...));
            $ids += array_fill_keys([$id, ...$units], true);
            $ids += array_fill_keys(array_keys($plan->ways()->waysOf($run)), true);
            foreach ($plan->ways()->feedsOf($run) as $feed) {
                $ids[$feed->id] = true;
            }
        }

        return array_values(array_filter($findings, static fn(Finding $f): bool => isset($ids[$f->place->id])));
    }
}
