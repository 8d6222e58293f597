<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Splits;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Changes\Wires\Tails;
use EmberDusk\Plan\Feed;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Split;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;

/** Cuts the + of a pixel run in its middle and feeds the second zone from its own supply; minus and data go through. */
final readonly class SplitZones extends Change
{
    private function __construct(private string $run) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self($f->string('run'));
    }

    public static function payload(string $run): ChangePayload
    {
        return ChangePayload::named('SplitZones', run: $run);
    }

    protected function changed(Plan $plan): Plan
    {
        if ($plan->strip($plan->run($this->run)->strip)?->switched() === true) {
            throw InvalidInput::at(
                '/run',
                'Only pixels can be split into zones: cut + and every channel of other strips.',
            );
        }
        $whole = EqualParts::whole($plan, $this->run);
        [$plan, $run, $marks] = [$whole->plan, $whole->run, $whole->marks];
        $split = Split::for($plan, $run, 'zones');
        $pad = $marks->nearest($marks->length() / 2);
        if ($pad < 1 || $pad >= $marks->lastPad()) {
            throw InvalidInput::at('/run', $run->name() . ' is too short for two zones.');
        }
        $old = $plan->supplies[$run->supply ?? ''];
        $id = Plan::nextId('s', $plan->supplies);
        $kit = (new Tails($plan, $run))->kit();
        $length = static fn(int $at): float => (new Tails($plan, $run))->reckon($at);
        $lengths = ['first' => $length(0), 'last' => $length($marks->lastPad())];
        $after = $plan->with(
            supplies: $plan->supplies + [$id => $old->as($id)],
            runs: [$run->id => $run->cut([$pad])] + $plan->runs,
        );
        $second = ReconnectedCables::from($after, $run, $pad);
        $after = ReconnectedCables::for($after, $run, $id, $second);
        $taken = $after->feeds;
        if ($second === []) {
            $feed = new Feed(Plan::nextId('f', $taken), $run->id, $marks->lastPad());
            $after = (new Tails($after, $run))->led(feed: $feed, kit: $kit, length: $lengths['last'], from: $id);
        }
        if (count($second) === count($plan->ways()->feedsOf($run))) {
            $feed = new Feed(Plan::nextId('f', $after->feeds), $run->id, 0);
            $after = (new Tails($after, $run))->led(feed: $feed, kit: $kit, length: $lengths['first']);
        }

        return EqualParts::remembered($after, $split->adding($id));
    }

    public function words(Plan $plan): string
    {
        return $plan->run($this->run)->whole() . ' split in two zones, the + cut, a supply for each';
    }
}
