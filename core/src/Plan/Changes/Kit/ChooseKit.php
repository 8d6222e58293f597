<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\BatteryBlock;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Converter;
use EmberDusk\Kit\Fuse;
use EmberDusk\Kit\Hub;
use EmberDusk\Kit\InlineSwitch;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\Powers;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Kit\Strip;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Changes\Wires\Tails;
use EmberDusk\Plan\CutMarks;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\Feed;
use EmberDusk\Plan\Item;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\CableWay;
use EmberDusk\Plan\Run;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\IncompletePlan;
use EmberDusk\Values\InvalidInput;

/** Takes a shelf entry for a run (strip, supply, controller, cable) or for the job (hub), as a frozen copy. */
final readonly class ChooseKit extends Change
{
    /** Fields in which a two-core cable may differ from one of more cores: same conductor, same use. */
    private const OWN = ['id' => 1, 'name' => 1, 'cores' => 1, 'price' => 1, 'currency' => 1, 'lead' => 1, 'note' => 1];

    /** Default metres from supply to controller until measured. */
    private const TRUNK = 1.0;

    /** @param  KitSnapshot|null  $pair  two-core cable of the same conductor, for the way to a controller; null where the shelf has none */
    private function __construct(private string $run, private KitSnapshot $kit, private ?KitSnapshot $pair = null) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $id = $f->string('kit');
        $kit = $shelf->find($id) ?? throw $f->invalid('kit', "The shelf has no “{$id}”.");

        return new self($f->stringOrNull('run') ?? '', $kit, self::pair($kit, $shelf));
    }

    private static function pair(KitSnapshot $kit, ShelfSource $shelf): ?KitSnapshot
    {
        if (!($kit->entry instanceof Cable) || $kit->entry->cores === 2) {
            return null;
        }
        foreach ($shelf->ofKind('cable') as $other) {
            if (
                $other->entry instanceof Cable &&
                $other->entry->cores === 2 &&
                array_diff_key($other->written, self::OWN) == array_diff_key($kit->written, self::OWN)
            ) {
                return $other;
            }
        }

        return null;
    }

    public static function for(string $run, KitSnapshot $kit): self
    {
        return new self($run, $kit);
    }

    /**
     * A job has one hub.
     *
     * @param  array<string, KitSnapshot>  $kit
     */
    private static function hub(Plan $plan, Hub $hub, array $kit): Plan
    {
        $id = array_key_first($plan->hubs) ?? Plan::nextId('h', []);

        return $plan->with(kit: $kit, hubs: [$id => self::device($plan->hubs[$id] ?? null, $id, $hub->id())]);
    }

    /** Another model replaces it in the same position. */
    private static function device(?Device $old, string $id, string $kit): Device
    {
        return $old?->withKit($kit) ?? new Device($id, $kit);
    }

    /** No run: for the job, as its hub. */
    public static function payload(?string $run, string $kit): ChangePayload
    {
        return ChangePayload::named('ChooseKit', run: $run, kit: $kit);
    }

    protected function changed(Plan $plan): Plan
    {
        $entry = $this->kit->entry;
        $kept = [$entry->id() => $this->kit] + $plan->kit;

        return match (true) {
            $entry instanceof Hub => self::hub($plan, $entry, $kept),
            $entry instanceof Strip => $this->strip($plan, $entry, $kept),
            $entry instanceof Powers => $this->supply($plan, $entry, $kept),
            $entry instanceof Controller => $this->controller($plan, $kept),
            $entry instanceof Cable => $this->cable($plan, $kept),
            $entry instanceof InlineSwitch, $entry instanceof Fuse => $this->fitted($plan, $kept),
            default => throw InvalidInput::at('/kit', 'That kind of kit has no place in a job yet.'),
        };
    }

    public function words(Plan $plan): string
    {
        return $this->kit->entry->name() .
            ' chosen' .
            ($this->run === '' || $this->kit->entry instanceof Hub ? '' : ' for ' . $plan->run($this->run)->name());
    }

    /** @param  array<string, KitSnapshot>  $kit */
    private function strip(Plan $plan, Strip $strip, array $kit): Plan
    {
        $run = $plan->run($this->run);
        $marks = CutMarks::from($run, $strip);
        if ($marks->groupCount() === 0) {
            throw InvalidInput::at(
                '/kit',
                sprintf(
                    '%s is shorter than one piece of this strip: %.2f m against %.3f m.',
                    $run->name(),
                    $run->length(),
                    $strip->pitch,
                ),
            );
        }
        $old = $plan->of($run)->cutMarks();
        $first = Plan::nextId('f', $plan->feeds);
        if ($old === null) {
            $feeds = [$first => new Feed($first, $run->id, 0)];
        } else {
            $feeds = MovedFeeds::feeds($plan->ways()->feedsOf($run), $old, $marks);
        }

        $run = $run->equipped(strip: $strip->id())->cut([]);
        // A controller of channels has no place before pixels, a pixel board none before channels.
        $board = $plan->of($run)->board() !== null;
        $run = $run->controller !== null && $board === $strip->switched() ? $run->uncontrolled() : $run;
        // Single parts take the place of a ready-made set.
        $items = array_filter($plan->items, static fn(Item $i): bool => $i->on !== $run->id);

        return self::hung(
            $plan->fedBy($run, $feeds)->with(kit: $kit, runs: self::set($plan, $run), items: $items),
            $run,
        );
    }

    /** Cables to feeds begin where they now must: pixels are fed by the supply or their board, other strips by the controller. */
    private static function hung(Plan $plan, Run $run): Plan
    {
        $from = $plan->ways()->origin($run);
        $pixels = $plan->strip($run->strip)?->switched() === false;
        $cables = $plan->cables;
        foreach ($plan->ways()->feedsOf($run) as $feed) {
            foreach ($plan->ways()->wayTo($feed->id) as $id => $cable) {
                $right = $cable->from === $from || ($pixels && isset($plan->supplies[$cable->from]));
                if ($from === null && !$right && $cable->to === $feed->id) {
                    unset($cables[$id]);
                } elseif ($from !== null && !$right && !isset($plan->splices[$cable->from])) {
                    $cables[$id] = $cable->from($from);
                }
            }
        }

        return $plan->with(cables: $cables);
    }

    /** @param  array<string, KitSnapshot>  $kit */
    private function supply(Plan $plan, Powers $entry, array $kit): Plan
    {
        $run = $plan->run($this->run);
        if ($entry instanceof Converter) {
            return ChosenSupply::converter($plan, $run, $entry, $kit);
        }
        if ($entry instanceof BatteryBlock) {
            return ChosenSupply::bank($plan, $run, $entry, $kit);
        }
        if (array_filter($plan->supplies, static fn(Device $d): bool => $d->bank === ($run->supply ?? '')) !== []) {
            // A bank that feeds a converter stays one: the run gets a supply of its own.
            $id = Plan::nextId('s', $plan->supplies);
            $own = [$id => new Device($id, $entry->id())];

            return ShareKit::for($run->id, $id)->changed($plan->with(kit: $kit, supplies: $plan->supplies + $own));
        }
        $id = $run->supply ?? Plan::nextId('s', $plan->supplies);
        $device = self::device($plan->supplies[$id] ?? null, $id, $entry->id())
            ->on(null)
            ->already(false);

        return $plan->with(
            kit: $kit,
            supplies: [$id => $device] + $plan->supplies,
            runs: self::set($plan, $run->equipped(supply: $id)),
            // A converter had one from its bank.
            cables: array_filter($plan->cables, static fn(LaidCable $c): bool => $c->to !== $id),
        );
    }

    /** @param  array<string, KitSnapshot>  $kit */
    private function controller(Plan $plan, array $kit): Plan
    {
        $run = $plan->run($this->run);
        $id = $run->controller ?? Plan::nextId('c', $plan->controllers);
        $run = $run->equipped(controller: $id);
        $plan = $plan->with(
            kit: $kit,
            controllers: [
                $id => self::device($plan->controllers[$id] ?? null, $id, $this->kit->entry->id()),
            ] + $plan->controllers,
            runs: self::set($plan, $run),
        );

        // Another board may carry more or less: cables that were at its terminals go where they can.
        return $plan->of($run)->board() === null ? $plan : self::hung($plan, $run);
    }

    /**
     * A switch in the cable at the beginning of the run's way, a fuse in each that leaves its supplies and banks.
     *
     * @param  array<string, KitSnapshot>  $kit
     */
    private function fitted(Plan $plan, array $kit): Plan
    {
        $run = $plan->run($this->run);
        $first = $plan->ways()->firstCable($run);
        if ($first === null) {
            throw IncompletePlan::at('/kit', 'Choose a cable first: the switch or fuse sits in it.');
        }
        $cables = [];
        if ($this->kit->entry instanceof Fuse) {
            foreach ([$first, ...array_values($plan->ways()->waysOf($run))] as $cable) {
                if (
                    isset($plan->supplies[$cable->from]) &&
                    ($cable === $first || !isset($plan->supplies[$first->to]))
                ) {
                    $cables[$cable->id] = $cable->fitted($cable->joint, $this->kit->entry->id(), $cable->switch);
                }
            }
        } else {
            $cables[$first->id] = $first->fitted($first->joint, $first->fuse, $this->kit->entry->id());
        }

        return $plan->with(kit: $kit, cables: $cables + $plan->cables);
    }

    /**
     * This cable for every tail of the run, and its two-core kind for the ways to supply and controller; lengths that are there stay.
     *
     * @param  array<string, KitSnapshot>  $kit
     */
    private function cable(Plan $plan, array $kit): Plan
    {
        $run = $plan->run($this->run);
        $from = $plan->ways()->origin($run);
        if ($run->supply === null || $from === null || $run->strip === null) {
            throw IncompletePlan::at('/kit', 'Choose strip, supply and controller first: a cable runs between them.');
        }
        $pair = $this->pair ?? $this->kit;
        $kit = [$pair->entry->id() => $pair] + $kit;
        if ($from !== $run->supply || $plan->of($run)->board() !== null) {
            $plan = $plan->with(
                kit: $kit,
                cables: [
                    ...$plan->cables,
                    ...self::laid($plan, $pair, $run->supply, (string) $run->controller, self::TRUNK),
                ],
            );
        }
        $bank = $plan->supplies[$run->supply]->bank ?? null;
        if ($bank !== null) {
            $plan = $plan->with(
                kit: $kit,
                cables: [...$plan->cables, ...self::laid($plan, $pair, $bank, $run->supply, ChosenSupply::INPUT)],
            );
        }
        foreach ($plan->ways()->feedsOf($run) as $feed) {
            $length = (new Tails($plan, $run))->reckon($feed->pad);
            $plan = $plan->with(
                cables: [...$plan->cables, ...self::laid($plan, $this->kit, $from, $feed->id, $length)],
                kit: $kit,
            );
        }

        $chosen = [$this->kit->entry->id(), $pair->entry->id()];

        return CableWay::reckoned($plan, static fn(LaidCable $c): bool => in_array($c->kit, $chosen, true));
    }

    /** @return array<string, LaidCable> */
    private static function laid(Plan $plan, KitSnapshot $kit, string $from, string $to, float $length): array
    {
        $there = $plan->ways()->cableTo($to);
        $id = $there->id ?? Plan::nextId('k', $plan->cables);

        return [
            $id =>
                $there?->withKit($kit->entry->id())->from($from) ??
                new LaidCable(id: $id, kit: $kit->entry->id(), from: $from, to: $to, length: $length, reckoned: true),
        ];
    }

    /** @return array<string, Run> */
    private static function set(Plan $plan, Run $run): array
    {
        return [$run->id => $run] + $plan->runs;
    }
}
