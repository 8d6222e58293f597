<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Splits;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Changes\Wires\Tails;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;

/** Cuts a switched run in halves, + and every channel, the second behind a repeater with its own supply. */
final readonly class SplitRepeater extends Change
{
    private function __construct(private string $run, private KitSnapshot $kit) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $id = $f->string('kit');
        $kit = $shelf->find($id) ?? throw $f->invalid('kit', "The shelf has no “{$id}”.");
        if (!($kit->entry instanceof Controller) || !$kit->entry->repeats) {
            throw $f->invalid('kit', $kit->entry->name() . ' is no repeater.');
        }

        return new self($f->string('run'), $kit);
    }

    public static function payload(string $run, string $kit): ChangePayload
    {
        return ChangePayload::named('SplitRepeater', run: $run, kit: $kit);
    }

    protected function changed(Plan $plan): Plan
    {
        $parting = EqualParts::for($plan, $this->run, 'repeater', 2);
        $plan = $parting->plan;
        [$first, $second] = $parting->parts;
        if ($plan->strip($first->strip)?->switched() === false) {
            throw InvalidInput::at('/run', 'A repeater copies dimmed channels: pixels hand their data on themselves.');
        }
        $old = $plan->supplies[$first->supply ?? ''];
        $supply = Plan::nextId('s', $plan->supplies);
        $id = Plan::nextId('c', $plan->controllers);
        $trunk = $plan->ways()->cableTo($first->controller ?? '');
        $plan = $plan->with(
            supplies: $plan->supplies + [$supply => $old->as($supply)->standing(null)],
            controllers: $plan->controllers + [$id => new Device($id, $this->kit->entry->id())],
            runs: [$second->id => $second->equipped(supply: $supply, controller: $id)] + $plan->runs,
            kit: [$this->kit->entry->id() => $this->kit] + $plan->kit,
        );
        if ($trunk !== null) {
            $cable = Plan::nextId('k', $plan->cables);
            $plan = $plan->with(
                cables: $plan->cables + [
                    $cable => $trunk->like($cable, $supply, $id)->reckonedAs(Tails::FIRST),
                ],
            );
        }
        $plan = ReconnectedCables::for($plan, $second, $id);
        // It is at the cut: its tail to a feed there is short.
        $plan = $plan->with(
            cables: array_map(
                static fn(LaidCable $c): LaidCable => $c->from === $id && ($plan->feeds[$c->to]->pad ?? 1) === 0
                    ? $c->reckonedAs(Tails::FIRST)
                    : $c,
                $plan->cables,
            ),
        );

        return EqualParts::remembered($plan, $parting->split->adding($supply, $id));
    }

    public function words(Plan $plan): string
    {
        return $plan->run($this->run)->whole() . ' split, the second half behind a repeater';
    }
}
