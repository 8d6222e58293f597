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
use EmberDusk\Plan\Routes\LegChain;
use EmberDusk\Plan\Routes\LegEnd;
use EmberDusk\Plan\Routes\LegWay;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Splice;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\IncompletePlan;
use EmberDusk\Values\InvalidInput;

/**
 * Feeds a run from both ends of an existing leg, or of several that meet end to end: there both sections beside it are tapped.
 * Its former feeds go. Legs are used as they are, drops are new.
 */
final readonly class UseLeg extends Change
{
    /** Metres from a leg's end within which the joint of two sections is tapped at both sides. */
    private const BESIDE = 0.5;

    /** @param  non-empty-list<string>  $legs  in order */
    private function __construct(
        private string $run,
        private array $legs,
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

        return new self($f->string('run', 80), [$f->string('leg', 40), ...$f->stringsOr('then', [])], $drop, $shelf);
    }

    /**
     * @param  non-empty-list<string>  $legs
     * @param  string  $drop  shelf id of the new cable to the legs and from them
     */
    public static function payload(string $run, array $legs, string $drop): ChangePayload
    {
        $then = array_slice($legs, 1);

        return ChangePayload::given('UseLeg', run: $run, leg: $legs[0], then: $then === [] ? null : $then, drop: $drop);
    }

    protected function changed(Plan $plan): Plan
    {
        $run = $plan->run($this->run);
        $from = $plan->ways()->origin($run);
        $marks = $plan->of($run)->cutMarks();
        if ($marks === null || $from === null) {
            throw IncompletePlan::at(
                '/run',
                'Choose strip and supply first, and a controller where the strip needs one.',
            );
        }
        $chain = $this->chain($plan, $run, $from);
        $plan = $plan->fedBy($run, []);
        $drop = $this->drop->entry->id();
        [$feeds, $splices, $cables] = [$plan->feeds, $plan->splices, $plan->cables];
        $kit = [$drop => $this->drop];
        $lay = static function (string $kit, string $a, string $b, float $metres, ?LegWay $leg = null) use (
            &$cables,
        ): void {
            $id = Plan::nextId('k', $cables);
            $cables[$id] = new LaidCable(
                id: $id,
                kit: $kit,
                from: $a,
                to: $b,
                length: $metres,
                reckoned: $leg?->measured !== true,
                existing: $leg !== null,
                leg: $leg->name ?? '',
                laid: $leg->laid ?? '',
            );
        };
        $before = $from;
        foreach ($chain->ends as $n => $end) {
            $leg = $chain->legs[max(0, $n - 1)];
            $splice = Splice::nextId($plan, $splices);
            $splices[$splice] = new Splice($splice, "end of leg {$leg->name} at {$end->name}");
            if ($n === 0) {
                $lay($drop, $before, $splice, $chain->lead);
            } else {
                $kit[$leg->kit->entry->id()] = $leg->kit;
                $lay($leg->kit->entry->id(), $before, $splice, $leg->length, $leg);
            }
            $inner = $n > 0 && $n < count($chain->legs);
            foreach ($inner ? $marks->facing($end->pad, self::BESIDE) : [$end->pad => 0.0] as $pad => $across) {
                $feed = Plan::nextId('f', $feeds);
                $feeds[$feed] = new Feed($feed, $run->id, $pad);
                $lay($drop, $splice, $feed, round($end->drop + $across, 2));
            }
            $before = $splice;
        }

        return $plan->with(feeds: $feeds, splices: $splices, cables: $cables, kit: $kit + $plan->kit);
    }

    private function chain(Plan $plan, Run $run, string $from): LegChain
    {
        $known = ExistingLegs::for($plan, $run, $this->shelf);
        $legs = array_map(
            static fn(string $leg): LegWay => $known[$leg] ??
                throw InvalidInput::at(
                    '/leg',
                    "Leg {$leg} cannot carry the feed of {$run->name()}: it must be sound, have cores " .
                        'enough, carry no mains, and both its ends must be known in the notes, at different ' .
                        'places of the run.',
                ),
            $this->legs,
        );

        return LegChain::of($legs, static fn(LegEnd $e): ?float => CableWay::to($plan, $from, $run->place, $e)) ??
            throw InvalidInput::at('/then', 'The legs do not meet end to end in this order.');
    }

    public function words(Plan $plan): string
    {
        $name = $plan->run($this->run)->name();

        return count($this->legs) === 1
            ? "{$name} fed by leg {$this->legs[0]}, from both its ends"
            : "{$name} fed by legs " . implode(', ', $this->legs) . ' as one trunk';
    }
}
