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

/** Open points of a job after a proposal is taken. */
final readonly class PointsAfter
{
    /** Rise of the excess, as a share of the limit, from which a point is worse. */
    private const WORSE = 1e-6;

    /** @var list<string> titles of open points of the proposed runs, solved with the tolerances of rails and supplies */
    public array $own;

    /**
     * @var list<string> titles of the other warnings and faults of the whole job, at full light, that are new or worse than in the job before, worst
     *     first. Examples: all runs together overload a bank or a mains circuit; a controller stands in a damp place.
     */
    public array $added;

    /**
     * @param  Plan  $now  the job before
     * @param  Plan  $made  with the proposal
     * @param  list<string>  $runs  ids of the proposed runs and their halves
     */
    public function __construct(private Plan $now, private Plan $made, array $runs)
    {
        $this->own = $this->within(PlanExcerpt::for($made, $runs));
        $this->added = array_values(array_diff($this->beyond(), $this->own));
    }

    /** @return list<string> titles */
    private function within(Plan $alone): array
    {
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

    /** @return list<string> titles */
    private function beyond(): array
    {
        $known = self::findings($this->now);
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
