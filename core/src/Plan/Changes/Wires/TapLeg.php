<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Feed;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Splice;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\IncompletePlan;

/** A heavy new cable that is laid past a run, with drops to both ends of each of its sections; what fed it before goes. Metres. */
final readonly class TapLeg extends Change
{
    private function __construct(
        private string $run,
        private KitSnapshot $leg,
        private KitSnapshot $drop,
        private float $lead,
        private float $dropLength,
    ) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $cable = static function (string $key) use ($f, $shelf): KitSnapshot {
            $kit = $shelf->find($f->string($key)) ?? throw $f->invalid($key, "The shelf has no “{$f->string($key)}”.");
            if (!($kit->entry instanceof Cable)) {
                throw $f->invalid($key, $kit->entry->name() . ' is no cable.');
            }

            return $kit;
        };

        return new self(
            run: $f->string('run'),
            leg: $cable('leg'),
            drop: $cable('drop'),
            lead: $f->numberOr('lead', 1.0, 0.01, 1000),
            dropLength: $f->numberOr('dropLength', 0.2, 0.01, 100),
        );
    }

    public static function payload(string $run, string $leg, string $drop): ChangePayload
    {
        return ChangePayload::named('TapLeg', run: $run, leg: $leg, drop: $drop);
    }

    protected function changed(Plan $plan): Plan
    {
        $run = $plan->run($this->run);
        $marks = $plan->of($run)->cutMarks();
        $from = $plan->ways()->origin($run);
        if ($marks === null || $from === null) {
            throw IncompletePlan::at(
                '/run',
                'Choose strip and supply first, and a controller where the strip needs one.',
            );
        }
        $plan = $plan->fedBy($run, []);
        $kit = [$this->leg->entry->id() => $this->leg, $this->drop->entry->id() => $this->drop] + $plan->kit;
        [$feeds, $splices, $cables] = [$plan->feeds, $plan->splices, $plan->cables];
        $pad = 0;
        $along = 0.0;
        $before = -$this->lead;
        foreach ($marks->groups as $section => $groups) {
            foreach ([[$pad, $along], [$pad + $groups, $along + $groups * $marks->pitch]] as [$at, $metres]) {
                $splice = Splice::nextId($plan, $splices);
                $feed = Plan::nextId('f', $feeds);
                $splices[$splice] = new Splice($splice, "at {$plan->terms->say($metres)} of {$run->name()}");
                $feeds[$feed] = new Feed($feed, $run->id, $at);
                $leg = Plan::nextId('k', $cables);
                $cables[$leg] = new LaidCable(
                    id: $leg,
                    kit: $this->leg->entry->id(),
                    from: $from,
                    to: $splice,
                    length: round(max(0.01, $metres - $before), 4),
                    reckoned: true,
                );
                $drop = Plan::nextId('k', $cables);
                $cables[$drop] = new LaidCable(
                    id: $drop,
                    kit: $this->drop->entry->id(),
                    from: $splice,
                    to: $feed,
                    length: $this->dropLength,
                    reckoned: true,
                );
                $from = $splice;
                $before = $metres;
            }
            $pad += $groups + 1;
            $along += $groups * $marks->pitch + ($marks->jumps[$section] ?? 0.0);
        }

        return $plan->with(feeds: $feeds, splices: $splices, cables: $cables, kit: $kit);
    }

    public function words(Plan $plan): string
    {
        return $plan->run($this->run)->name() .
            " fed past by {$this->leg->entry->name()}, at both ends of each section";
    }
}
