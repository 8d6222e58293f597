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
use EmberDusk\Plan\Routes\CableWay;
use EmberDusk\Plan\Routes\ExistingLegs;
use EmberDusk\Plan\Routes\LegEnd;
use EmberDusk\Plan\Splice;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\IncompletePlan;
use EmberDusk\Values\InvalidInput;

/** Feeds a run from both ends of an existing leg and removes its former feeds. The leg is used as it is, drops are new. */
final readonly class UseLeg extends Change
{
    private function __construct(
        private string $run,
        private string $leg,
        private KitSnapshot $drop,
        private ShelfSource $shelf,
    ) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $id = $f->string('drop', 80);
        $drop = $shelf->find($id) ?? throw $f->invalid('drop', "The shelf has no “{$id}”.");
        if (!($drop->entry instanceof Cable)) {
            throw $f->invalid('drop', "{$drop->entry->name()} is no cable.");
        }

        return new self($f->string('run', 80), $f->string('leg', 40), $drop, $shelf);
    }

    /** @param  string  $drop  shelf id of the new cable to the leg and from it */
    public static function payload(string $run, string $leg, string $drop): ChangePayload
    {
        return ChangePayload::named('UseLeg', run: $run, leg: $leg, drop: $drop);
    }

    protected function changed(Plan $plan): Plan
    {
        $run = $plan->run($this->run);
        $from = $plan->ways()->origin($run);
        if ($plan->of($run)->cutMarks() === null || $from === null) {
            throw IncompletePlan::at(
                '/run',
                'Choose strip and supply first, and a controller where the strip needs one.',
            );
        }
        $leg =
            ExistingLegs::for($plan, $run, $this->shelf)[$this->leg] ??
            throw InvalidInput::at(
                '/leg',
                "Leg {$this->leg} cannot carry the feed of {$run->name()}: it must be sound, have cores " .
                    'enough, carry no mains, and both its ends must be known in the notes, at different ' .
                    'places of the run.',
            );
        $tapped = $leg->from(static fn(LegEnd $e): ?float => CableWay::to($plan, $from, $run->place, $e));
        [$near, $far, $lead] = [$tapped->near, $tapped->far, $tapped->lead];
        $plan = $plan->fedBy($run, []);
        $drop = $this->drop->entry->id();
        [$feeds, $splices, $cables] = [$plan->feeds, $plan->splices, $plan->cables];
        $lay = static function (string $kit, string $a, string $b, float $metres, bool $there) use (
            &$cables,
            $leg,
        ): void {
            $id = Plan::nextId('k', $cables);
            $laid = $there ? $leg->laid : '';
            $cables[$id] = new LaidCable(
                id: $id,
                kit: $kit,
                from: $a,
                to: $b,
                length: $metres,
                reckoned: !$there || !$leg->measured,
                existing: $there,
                leg: $there ? $leg->name : '',
                laid: $laid,
            );
        };
        $before = $from;
        foreach ([$near, $far] as $n => $end) {
            $splice = Splice::nextId($plan, $splices);
            $splices[$splice] = new Splice($splice, "end of leg {$leg->name} at {$end->name}");
            $feed = Plan::nextId('f', $feeds);
            $feeds[$feed] = new Feed($feed, $run->id, $end->pad);
            if ($n === 0) {
                $lay($drop, $before, $splice, $lead, false);
            } else {
                $lay($leg->kit->entry->id(), $before, $splice, $leg->length, true);
            }
            $lay($drop, $splice, $feed, $end->drop, false);
            $before = $splice;
        }

        return $plan->with(
            feeds: $feeds,
            splices: $splices,
            cables: $cables,
            kit: [$leg->kit->entry->id() => $leg->kit, $drop => $this->drop] + $plan->kit,
        );
    }

    public function words(Plan $plan): string
    {
        return "{$plan->run($this->run)->name()} fed by leg {$this->leg}, from both its ends";
    }
}
