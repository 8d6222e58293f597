<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Feed;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\IncompletePlan;
use EmberDusk\Values\InvalidInput;

/** Feeds a run at one more pad, with a tail like the others. */
final readonly class AddFeed extends Change
{
    private function __construct(private string $run, private FeedPoint $point) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self($f->string('run'), FeedPoint::read($f));
    }

    protected function changed(Plan $plan): Plan
    {
        $run = $plan->run($this->run);
        $marks =
            $plan->of($run)->cutMarks() ??
            throw IncompletePlan::at('/run', 'Choose a strip first: feeds go at its cut marks.');
        $pad = $this->point->pad($marks);
        if ($pad > $marks->lastPad()) {
            throw InvalidInput::at('/pad', "The run ends at pad {$marks->lastPad()}.");
        }
        foreach ($plan->ways()->feedsOf($run) as $feed) {
            if ($feed->pad === $pad) {
                throw InvalidInput::at(
                    '/pad',
                    "{$run->name()} is fed at {$plan->terms->say($marks->position($pad))} already.",
                );
            }
        }

        return (new Tails($plan, $run))->lay(new Feed(Plan::nextId('f', $plan->feeds), $run->id, $pad));
    }

    public function words(Plan $plan): string
    {
        $run = $plan->run($this->run);

        $marks = $plan->of($run)->cutMarks();

        return sprintf(
            'Feed added to %s at %s',
            $run->name(),
            $plan->terms->say($marks === null ? 0.0 : $marks->position($this->point->pad($marks))),
        );
    }
}
