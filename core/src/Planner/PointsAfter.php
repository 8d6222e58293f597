<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Checks\Cable\Drop;
use EmberDusk\Checks\Controller\PixelBoards;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Light\ColourShift;
use EmberDusk\Checks\Light\Evenness;
use EmberDusk\Checks\Light\Seam;
use EmberDusk\Checks\Registry;
use EmberDusk\Checks\Supply\Swing;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Island;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Refusal;
use EmberDusk\Values\Severity;

/** Open points of a job after a proposal is taken: at the proposed runs, and new ones in the rest of the job. */
final readonly class PointsAfter
{
    /** Rise of the excess, as a share of the limit, from which a point is worse. */
    private const WORSE = 1e-6;

    /**
     * @param  Plan  $now  the job before
     * @param  Plan  $made  with the proposal
     * @param  list<list<string>>  $parts  ids of the proposed runs and their halves, grouped as they were judged
     */
    public function __construct(private Plan $now, private Plan $made, private array $parts) {}

    /** @return list<string> titles of open points of the proposed runs, solved with the tolerances of rails and supplies */
    public function own(): array
    {
        $alone = PlanExcerpt::for($this->made, array_merge(...$this->parts));
        $results = [];
        try {
            foreach (Island::all($alone) as $island) {
                $results += (new Engine($alone))->island($island);
            }
        } catch (Refusal $refused) {
            return [$refused->getMessage()];
        }
        $checks = [new Evenness(), new Seam(), new Drop(), new ColourShift(), new Swing(), new PixelBoards()];

        return $this->titles(Registry::check(JudgedJob::plan($alone, $results), $checks));
    }

    /**
     * Titles of the warnings and faults, at full light, that are new or worse than in the job before and in each part of the proposal alone. Example:
     * all runs together overload a bank or a mains circuit.
     *
     * @return list<string> worst first
     */
    public function elsewhere(): array
    {
        $known = self::findings($this->now);
        foreach ($this->parts as $runs) {
            array_push($known, ...self::findings(PlanExcerpt::for($this->made, $runs)));
        }
        $new = static fn(Finding $of): bool => array_filter(
            $known,
            static fn(Finding $k): bool => $k->code === $of->code &&
                $k->place->id === $of->place->id &&
                self::subject($k) === self::subject($of) &&
                $k->severity->rank() <= $of->severity->rank() &&
                ($k->excess() ?? 0.0) >= ($of->excess() ?? 0.0) - self::WORSE,
        ) === [];

        return $this->titles(array_values(array_filter(self::findings($this->made), $new)));
    }

    /** @return list<Finding> warnings and faults, worst first */
    private static function findings(Plan $plan): array
    {
        $results = [];
        foreach (Island::all($plan) as $island) {
            try {
                $results += (new Engine($plan))->planned($island);
            } catch (Refusal) {
                // A circuit without a solution is a point of the job already, or of the proposal.
                continue;
            }
        }

        return array_values(
            array_filter(
                Registry::check(JudgedJob::plan($plan, $results), Registry::circuit()),
                static fn(Finding $f): bool => $f->severity !== Severity::Open,
            ),
        );
    }

    /** Title without its figures, but with the numbers of parts, such as “S1”. */
    private static function subject(Finding $finding): string
    {
        return (string) preg_replace('/(?<![A-Za-z\d.])\d+(\.\d+)?/', '', $finding->title);
    }

    /**
     * Titles of findings; cables that are not in the job yet get their ends in brackets.
     *
     * @param  list<Finding>  $findings
     * @return list<string>
     */
    private function titles(array $findings): array
    {
        $ends = [];
        foreach (array_diff_key($this->made->cables, $this->now->cables) as $id => $cable) {
            $ends['/\b' . strtoupper($id) . '\b/'] = sprintf(
                '%s (new, %s to %s)',
                strtoupper($id),
                $this->end($cable->from),
                $this->end($cable->to),
            );
        }

        return array_map(
            static fn(Finding $f): string => (string) preg_replace(array_keys($ends), $ends, $f->title, 1),
            $findings,
        );
    }

    private function end(string $id): string
    {
        $feed = $this->made->feeds[$id] ?? null;

        return $feed === null ? strtoupper($id) : $this->made->run($feed->run)->name();
    }
}
