<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Feed;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\CableWay;
use EmberDusk\Values\InvalidInput;

/** Moves a feed to another pad; its cable keeps its length. */
final readonly class MoveFeed extends Change
{
    private function __construct(private string $feed, private FeedPoint $point) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self($f->string('feed'), FeedPoint::read($f));
    }

    protected function changed(Plan $plan): Plan
    {
        $feed = $plan->feed($this->feed);
        $run = $plan->run($feed->run);
        $marks = $plan->of($run)->cutMarks();
        $pad = $marks === null ? 0 : $this->point->pad($marks);
        if ($marks === null || $pad > $marks->lastPad()) {
            throw InvalidInput::at('/pad', 'The run ends before that pad.');
        }
        foreach ($plan->ways()->feedsOf($run) as $other) {
            if ($other->pad === $pad && $other->id !== $feed->id) {
                throw InvalidInput::at(
                    '/pad',
                    "{$run->name()} is fed at {$plan->terms->say($marks->position($pad))} already.",
                );
            }
        }

        return CableWay::reckoned(
            $plan->with(feeds: [$feed->id => new Feed($feed->id, $feed->run, $pad)] + $plan->feeds),
            static fn(LaidCable $c): bool => $c->to === $feed->id,
        );
    }

    public function words(Plan $plan): string
    {
        $feed = $plan->feed($this->feed);
        $run = $plan->run($feed->run);
        $marks = $plan->of($run)->marks();

        return sprintf(
            'Feed of %s moved from %s to %s',
            $run->name(),
            $plan->terms->say($marks->position($feed->pad)),
            $plan->terms->say($marks->position($this->point->pad($marks))),
        );
    }
}
