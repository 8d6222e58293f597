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

/** Feeds a run at exactly these shares of its length; feeds that are there already keep their cables. */
final readonly class SetFeeds extends Change
{
    /** @param  non-empty-list<float>  $shares  0 is the start, 1 the end */
    private function __construct(private string $run, private array $shares) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $shares = $f->numbers('shares', 0, 1);

        return new self(
            $f->string('run'),
            $shares === [] || count($shares) > 100
                ? throw $f->invalid('shares', '1 to 100 shares of the length were expected.')
                : $shares,
        );
    }

    /** @param  list<float>  $shares  of the length */
    public static function payload(string $run, array $shares): ChangePayload
    {
        return ChangePayload::named('SetFeeds', run: $run, shares: $shares);
    }

    protected function changed(Plan $plan): Plan
    {
        $run = $plan->run($this->run);
        $marks =
            $plan->of($run)->cutMarks() ??
            throw IncompletePlan::at('/run', 'Choose a strip first: feeds go at its cut marks.');
        $pads = array_values(
            array_unique(
                array_map(
                    static fn(float $share): int => $share >= 1
                        ? $marks->lastPad()
                        : $marks->nearest($share * $marks->length()),
                    $this->shares,
                ),
            ),
        );
        $old = $plan->ways()->feedsOf($run);
        foreach ($pads as $pad) {
            if (array_filter($old, static fn(Feed $f): bool => $f->pad === $pad) === []) {
                $plan = (new Tails($plan, $run))->lay(new Feed(Plan::nextId('f', $plan->feeds), $run->id, $pad));
            }
        }
        $kept = array_filter(
            $plan->feeds,
            static fn(Feed $f): bool => $f->run === $run->id && in_array($f->pad, $pads, true),
        );

        return $plan->fedBy($run, $kept);
    }

    public function words(Plan $plan): string
    {
        return $plan->run($this->run)->name() .
            ' fed at ' .
            implode(', ', array_map(static fn(float $s): string => sprintf('%g %%', 100 * $s), $this->shares)) .
            ' of its length';
    }
}
