<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Checks\Controller\ControllerAmps;
use EmberDusk\Checks\PlannerLimit;
use EmberDusk\Costing\MovingFigures;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Kit\Strip;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Changes\Job\ChangeGroup;
use EmberDusk\Plan\Changes\Kit\ChooseKit;
use EmberDusk\Plan\Changes\Runs\SplitRun;
use EmberDusk\Plan\Changes\Splits\SplitParts;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\Refusal;

/** Single changes after which runs that clash can be wired. Each was planned before it is offered, so its cost is known. */
final readonly class ClashWays
{
    /** Strips with a lower load that are tried, the next lower ones. */
    private const STRIPS = 2;

    /** @param  \Closure(Plan, int, string...): Proposal  $planned */
    private function __construct(private Plan $plan, private ShelfSource $shelf, private \Closure $planned) {}

    /**
     * @param  \Closure(Plan, int, string...): Proposal  $planned  the wiring of some runs of a plan, with as many solves for each set
     * @return list<Repair>
     */
    public static function for(Plan $plan, Clash $clash, ShelfSource $shelf, \Closure $planned): array
    {
        return array_values(array_filter((new self($plan, $shelf, $planned))->all($clash)));
    }

    /** @return list<Repair|null> */
    private function all(Clash $clash): array
    {
        $runs = array_map(static fn(Run $r): string => $r->id, $clash->runs);
        $ways = [];
        foreach ($clash->runs as $run) {
            $ways[] = $this->split($run, $runs);
            foreach ($this->lower($run) as $strip) {
                $ways[] = $this->way(
                    "{$strip->entry->name()} for {$run->name()}",
                    ChooseKit::payload($run->id, $strip->entry->id()),
                    $runs,
                );
            }
        }

        return [...$ways, $this->limits($clash, $runs)];
    }

    /**
     * Into as many equal parts as the largest controller of the shelf asks for, or one more.
     *
     * @param  list<string>  $runs
     */
    private function split(Run $run, array $runs): ?Repair
    {
        $strip = $this->plan->strip($run->strip);
        if ($strip === null) {
            return null;
        }
        $most = 0.0;
        foreach ($this->shelf->ofKind('controller') as $kit) {
            $most = max($most, $kit->entry instanceof Controller ? ControllerAmps::metres($strip, $kit->entry) : 0.0);
        }
        $least = max(2, (int) ceil($this->plan->of($run)->litLength() / max($most, 0.1)));
        foreach (array_filter([$least, $least + 1], static fn(int $n): bool => $n <= SplitParts::MOST) as $parts) {
            $label = "Split {$run->name()} into {$parts} parts";
            $way = $this->way($label, $this->parted($run, $parts, $label), $runs);
            if ($way !== null) {
                return $way;
            }
        }

        return null;
    }

    /** A run in parts with its kit; without kit only its strip is divided. */
    private function parted(Run $run, int $parts, string $label): ChangePayload
    {
        if ($run->supply !== null) {
            return SplitParts::payload($run->id, $parts);
        }
        $cut = SplitRun::payload($run->id, $parts);
        $made = Catalogue::make($cut, $this->shelf)->apply($this->plan);

        return ChangeGroup::payload($label, [
            $cut,
            ...array_map(
                static fn(string $id): ChangePayload => ChooseKit::payload($id, (string) $run->strip),
                Proposal::wired($made, $this->plan, $run->id),
            ),
        ]);
    }

    /** @param  list<string>  $runs */
    private function way(string $label, ChangePayload $change, array $runs, int $most = Search::BRIEF): ?Repair
    {
        try {
            $made = Catalogue::make($change, $this->shelf)->apply($this->plan);
            $proposal = ($this->planned)($made, $most, ...Proposal::wired($made, $this->plan, ...$runs));
        } catch (Refusal) {
            return null;
        }

        return $proposal->whole() ? new Repair($label, MovingFigures::for($made, $proposal->cost()), $change) : null;
    }

    /**
     * Strips of the same volts and colours that draw less.
     *
     * @return list<KitSnapshot>
     */
    private function lower(Run $run): array
    {
        $now = $this->plan->strip($run->strip);
        if ($now === null) {
            return [];
        }
        $lower = array_values(
            array_filter(
                $this->shelf->ofKind('strip'),
                fn(KitSnapshot $k): bool => $k->entry instanceof Strip &&
                    $k->entry->volts === $now->volts &&
                    $k->entry->colours() === $now->colours() &&
                    $k->entry->switched() === $now->switched() &&
                    $k->entry->wattsPerMetre() < $now->wattsPerMetre() - 1e-9 &&
                    $this->plan->terms->price($k) !== null,
            ),
        );
        $watts = static fn(KitSnapshot $k): float => $k->entry instanceof Strip ? $k->entry->wattsPerMetre() : 0.0;
        usort($lower, static fn(KitSnapshot $a, KitSnapshot $b): int => $watts($b) <=> $watts($a));

        return array_slice($lower, 0, self::STRIPS);
    }

    /**
     * The limits of evenness and volts lost as the nearest layout has them.
     *
     * @param  list<string>  $runs
     */
    private function limits(Clash $clash, array $runs): ?Repair
    {
        $now = $this->plan->limits;
        [$even, $drop, $words] = [$now->evenness, $now->drop, []];
        $judged = $clash->nearest?->judged;
        foreach ($judged->broken ?? [] as $broken) {
            if ($broken->limit === PlannerLimit::Evenness) {
                $even = max(0.3, floor(100 * ($judged->evenness ?? 0.0)) / 100);
                $words['evenness'] = sprintf('evenness to %.2f', $even);
            } elseif ($broken->limit === PlannerLimit::Drop) {
                $drop = min(0.5, max($drop, ceil(1000 * $now->drop * (1 + $broken->excess)) / 1000));
                $words['drop'] = sprintf('voltage drop to %g %%', 100 * $drop);
            }
        }

        return $words === []
            ? null
            : $this->way(
                'Set the limit of ' . implode(', of ', $words),
                ChangePayload::named('SetLimits', ...[...$now->write(), 'evenness' => $even, 'drop' => $drop]),
                $runs,
                // The nearest layout is known to meet these: it is worth finding.
                Search::MOST,
            );
    }
}
