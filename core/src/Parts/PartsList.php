<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

use EmberDusk\Kit\Connector;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\DataLead;
use EmberDusk\Plan\Routes\SignalLead;
use EmberDusk\Plan\Run;
use EmberDusk\Rates\Joints;
use LogicException;

/** Everything to buy, cut and bring, derived from plan, kit and mounting; nothing is typed twice. */
final readonly class PartsList
{
    /** Metres more at each end of a lead, to work with (common practice, no source). */
    private const SLACK = 0.15;

    /**
     * @param  list<Part>  $parts
     * @param  list<StockCut>  $cuts
     * @param  list<Run>  $bare  runs without a strip: nothing of them is in the list
     * @param  list<string>  $lacking needs that the shelf does not cover, by group, with the reason
     * @param  array<string, int>  $joined  places at which the strip itself is joined, by run
     * @param  PiecesToCut  $lengths pieces to cut
     */
    private function __construct(
        public array $parts,
        public array $cuts,
        public array $bare,
        public array $lacking,
        public array $joined,
        public PiecesToCut $lengths,
    ) {}

    /** @param  array<string, list<float>>  $offcuts metres of offcuts in the van, by shelf id */
    public static function for(Plan $plan, ShelfSource $shelf, array $offcuts = []): self
    {
        $wanted = new PartsDemand($plan);
        $uses = new FirstForPurpose($shelf);
        $fixings = new Fixings($plan, $uses, $wanted);
        $lengths = PiecesToCut::for($plan, $shelf);
        $cuts = $bought = $joined = [];
        foreach ($lengths->of as $id => $stock) {
            [$kit, $group] = [$stock->kit, $stock->group];
            $cuts[] = $cut = $lengths->cut($id, $offcuts[$id] ?? []);
            $bought[$id] = $cut->bought;
            foreach ($stock->pieces as $piece) {
                $wanted->add(
                    kit: $kit,
                    group: $group,
                    count: $piece->mm / 1000,
                    unit: 'm',
                    why: "{$piece->what}, {$plan->terms->say($piece->mm / 1000)}",
                    runs: [$piece->run],
                    each: PiecesToCut::bought($kit),
                    priced: PiecesToCut::bought($kit),
                );
            }
            if ($group === 'Strip') {
                foreach ($cut->jointsOf() as $run => $count) {
                    $joined[$run] = $count;
                    self::joints(
                        plan: $plan,
                        uses: $uses,
                        wanted: $wanted,
                        joint: $uses->joint(),
                        count: (new Joints($plan))->ofSeams($plan->run($run), $count),
                        why: $plan->run($run)->name() .
                            ': its strip is joined at ' .
                            ($count === 1 ? 'a place' : "{$count} places"),
                        runs: [$run],
                    );
                }
            }
        }
        $bare = [];
        foreach ($plan->runs as $run) {
            if ($plan->of($run)->cutMarks() === null) {
                $bare[] = $run;

                continue;
            }
            foreach ($plan->of($run)->cutMarks()->jumps as $jump) {
                $wanted->add(
                    kit: self::lead($plan, $run),
                    group: 'Cable',
                    count: $jump + 2 * self::SLACK,
                    unit: 'm',
                    why: "{$run->name()}, lead between sections",
                    runs: [$run->id],
                );
                self::joints(
                    plan: $plan,
                    uses: $uses,
                    wanted: $wanted,
                    joint: $uses->joint(),
                    count: Joints::ofTail($plan->of($run)->cores()),
                    why: "{$run->name()}, lead between sections",
                    runs: [$run->id],
                );
            }
            $fixings->addRun($run);
            foreach (SignalLead::at($plan, $run) as $lead) {
                self::thin(
                    plan: $plan,
                    uses: $uses,
                    wanted: $wanted,
                    why: "{$lead->signal} wire of the vehicle to " . strtoupper($lead->unit),
                    cores: 1,
                    // At the vehicle; its unit has terminals.
                    joints: 1,
                    metres: $lead->metres,
                    run: $run,
                );
            }
        }
        $runs = [];
        foreach ($plan->runs as $run) {
            foreach (array_keys($plan->ways()->waysOf($run)) as $cable) {
                $runs[$cable][] = $run->id;
            }
        }
        $joints = (new Joints($plan))->atCables();
        foreach ($plan->cables as $cable) {
            self::cable(
                plan: $plan,
                uses: $uses,
                wanted: $wanted,
                cable: $cable,
                joints: $joints[$cable->id]->made,
                runs: $runs[$cable->id] ?? [],
            );
        }
        foreach (DataLead::separate($plan) as $lead) {
            self::thin(
                plan: $plan,
                uses: $uses,
                wanted: $wanted,
                why: "data from {$lead->begins()} to {$lead->to->name()}",
                cores: $lead->wires($plan),
                joints: (new Joints($plan))->ofData($lead)->made,
                metres: $lead->metres,
                run: $lead->to,
            );
        }
        UnitParts::add($plan, $uses, $wanted);

        return new self(
            parts: $wanted->parts($bought),
            cuts: $cuts,
            bare: $bare,
            lacking: array_values(array_unique([...$lengths->lacking, ...$wanted->lacking])),
            joined: $joined,
            lengths: $lengths,
        );
    }

    /** @throws LogicException where the list has no such key */
    public function part(string $key): Part
    {
        foreach ($this->parts as $part) {
            if ($part->key === $key) {
                return $part;
            }
        }
        throw new LogicException("Nothing of {$key} is in the parts list.");
    }

    /** The run's own tail cable also makes the leads between its sections. */
    private static function lead(Plan $plan, Run $run): ?KitSnapshot
    {
        foreach ($plan->ways()->feedsOf($run) as $feed) {
            $cable = $plan->ways()->cableTo($feed->id);
            if ($cable !== null) {
                return $plan->kit[$cable->kit] ?? null;
            }
        }

        return null;
    }

    /** Terminals of a cable at a battery, one for each pole. */
    private const POLES = 2.0;

    /** @param  list<string>  $runs  that it feeds */
    private static function cable(
        Plan $plan,
        FirstForPurpose $uses,
        PartsDemand $wanted,
        LaidCable $cable,
        int $joints,
        array $runs,
    ): void {
        $name = strtoupper($cable->id);
        if ($runs === []) {
            $for = '';
        } else {
            $for = ' for ' . implode(', ', array_map(static fn(string $id): string => $plan->run($id)->name(), $runs));
        }
        if (!$cable->existing) {
            $wanted->add(
                kit: $plan->kit[$cable->kit] ?? null,
                group: 'Cable',
                count: $cable->length + 2 * self::SLACK,
                unit: 'm',
                why: sprintf(
                    '%s%s, %s to %s, %s and slack',
                    $name,
                    $for,
                    strtoupper($cable->from),
                    strtoupper($cable->to),
                    $plan->terms->say($cable->length),
                ),
                runs: $runs,
            );
        }
        self::joints(
            plan: $plan,
            uses: $uses,
            wanted: $wanted,
            joint: $plan->kit[$cable->joint ?? ''] ?? $uses->joint(),
            count: $joints,
            why: "{$name}{$for}, every core at its ends" .
                ($cable->fuse === null ? '' : ', and its fuse') .
                ($cable->switch === null ? '' : ', and its switch'),
            runs: $runs,
        );
        $wanted->add(
            kit: $plan->kit[$cable->fuse ?? ''] ?? null,
            group: 'Fuse',
            count: $cable->fuse === null ? 0.0 : 1.0,
            unit: 'piece',
            why: "at the start of {$name}{$for}",
            runs: $runs,
            spares: true,
        );
        $holder = $uses->consumable('holders');
        $wanted->add(
            kit: $holder,
            group: 'Fuse',
            count: $cable->fuse === null ? 0.0 : 1.0,
            unit: 'piece',
            why: "holds the fuse of {$name}",
            runs: $runs,
            each: FirstForPurpose::for($holder),
        );
        $terminal = $plan->block($cable->from)?->terminal;
        if ($terminal !== null) {
            $use = $terminal->consumable();
            $fitted = $use === null ? $uses->joint('plug') : $uses->consumable($use);
            $wanted->add(
                kit: $fitted,
                group: 'Terminal',
                count: $use === null ? 1.0 : self::POLES,
                unit: 'piece',
                why: "{$name} {$terminal->place()} " . strtoupper($cable->from),
                runs: array_slice($runs, 0, 1),
                each: $use === null ? 1.0 : FirstForPurpose::for($fitted),
            );
        }
        $wanted->add(
            kit: $plan->kit[$cable->switch ?? ''] ?? null,
            group: 'Switch',
            count: $cable->switch === null ? 0.0 : 1.0,
            unit: 'piece',
            why: "in {$name}{$for}",
            runs: $runs,
        );
    }

    /**
     * A lead that carries next to no current.
     *
     * @param  int  $joints  that are made at its ends
     * @param  float|null  $metres  null until it is measured
     */
    private static function thin(
        Plan $plan,
        FirstForPurpose $uses,
        PartsDemand $wanted,
        string $why,
        int $cores,
        int $joints,
        ?float $metres,
        Run $run,
    ): void {
        $wanted->add(
            kit: $metres === null ? null : $uses->dataWire($cores),
            group: 'Cable',
            count: ($metres ?? 0.0) + 2 * self::SLACK,
            unit: 'm',
            why: $why . ($metres === null ? ' is not measured' : ", {$plan->terms->say($metres)} and slack"),
            runs: [$run->id],
        );
        self::joints(
            plan: $plan,
            uses: $uses,
            wanted: $wanted,
            joint: $uses->joint(),
            count: $joints,
            why: $why,
            runs: [$run->id],
        );
    }

    /** @param  list<string>  $runs */
    private static function joints(
        Plan $plan,
        FirstForPurpose $uses,
        PartsDemand $wanted,
        ?KitSnapshot $joint,
        int $count,
        string $why,
        array $runs,
    ): void {
        $wanted->add(
            kit: $joint,
            group: 'Joint',
            count: (float) $count,
            unit: 'piece',
            why: $why,
            runs: $runs,
            spares: true,
        );
        if ($joint?->entry instanceof Connector && $joint->entry->joint === 'solder') {
            $wire = $uses->consumable('solder');
            $wanted->add(
                kit: $wire,
                group: 'Solder',
                count: (float) $count,
                unit: 'joint',
                why: $why,
                runs: $runs,
                each: FirstForPurpose::for($wire),
            );
        }
    }
}
