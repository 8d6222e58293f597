<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Feed;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\IncompletePlan;
use EmberDusk\Values\InvalidInput;

/** Adds the feeds that are missing for both ends, or for the middle, in one action. */
final readonly class FeedPattern extends Change
{
    private function __construct(private string $run, private string $pattern) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $pattern = $f->string('pattern', 10);
        if (!in_array($pattern, ['ends', 'middle'], true)) {
            throw $f->invalid('pattern', '“ends” or “middle” was expected.');
        }

        return new self($f->string('run'), $pattern);
    }

    /** @param  string  $pattern  ends or middle */
    public static function payload(string $run, string $pattern): ChangePayload
    {
        return ChangePayload::named('FeedPattern', run: $run, pattern: $pattern);
    }

    protected function changed(Plan $plan): Plan
    {
        $run = $plan->run($this->run);
        $marks =
            $plan->of($run)->cutMarks() ??
            throw IncompletePlan::at('/run', 'Choose a strip first: feeds go at its cut marks.');
        $wanted = $this->pattern === 'ends' ? [0, $marks->lastPad()] : [$marks->nearest($marks->length() / 2)];
        $fed = array_map(static fn(Feed $f): int => $f->pad, $plan->ways()->feedsOf($run));
        $missing = array_diff($wanted, $fed);
        if ($missing === []) {
            throw InvalidInput::at('/pattern', $run->name() . ' is fed there already.');
        }
        foreach ($missing as $pad) {
            $plan = (new Tails($plan, $run))->lay(new Feed(Plan::nextId('f', $plan->feeds), $run->id, $pad));
        }

        return $plan;
    }

    public function words(Plan $plan): string
    {
        return $plan->run($this->run)->name() .
            ($this->pattern === 'ends' ? ' fed at both ends' : ' fed in the middle as well');
    }
}
