<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\InvalidInput;

/** Takes a feed away with its cable; the last one of a run stays. */
final readonly class RemoveFeed extends Change
{
    private function __construct(private string $feed) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self($f->string('feed'));
    }

    protected function changed(Plan $plan): Plan
    {
        $feed = $plan->feed($this->feed);
        if (count($plan->ways()->feedsOf($plan->run($feed->run))) === 1) {
            throw InvalidInput::at(
                '/feed',
                'This is the only feed of ' . $plan->run($feed->run)->name() . '. Add another first, or move it.',
            );
        }

        return $plan->with(feeds: array_diff_key($plan->feeds, [$feed->id => true]));
    }

    public function words(Plan $plan): string
    {
        $feed = $plan->feed($this->feed);
        $run = $plan->run($feed->run);

        return sprintf(
            'Feed of %s at %s removed',
            $run->name(),
            $plan->terms->say($plan->of($run)->marks()->position($feed->pad)),
        );
    }
}
