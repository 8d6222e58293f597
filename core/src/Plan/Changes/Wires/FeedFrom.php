<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\IncompletePlan;
use EmberDusk\Values\InvalidInput;

/** Starts the cables to the feeds of a pixel run at its supply, or at its board. */
final readonly class FeedFrom extends Change
{
    private function __construct(private string $run, private string $from) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self($f->string('run'), $f->string('from', 40));
    }

    public static function payload(string $run, string $from): ChangePayload
    {
        return ChangePayload::named('FeedFrom', run: $run, from: $from);
    }

    protected function changed(Plan $plan): Plan
    {
        $run = $plan->run($this->run);
        if ($this->from !== $run->supply && ($this->from !== $run->controller || $plan->of($run)->board() === null)) {
            throw InvalidInput::at(
                '/from',
                "{$run->name()} is fed by its supply or through its pixel board, not by “{$this->from}”.",
            );
        }
        if ($plan->strip($run->strip)?->switched() !== false) {
            throw IncompletePlan::at('/run', "{$run->name()} is no run of pixels: its controller feeds it.");
        }
        if ($this->from === $run->controller && $plan->ways()->cableTo($this->from) === null) {
            throw IncompletePlan::at(
                '/from',
                strtoupper($this->from) . ' has no supply cable yet: choose a cable at Kit.',
            );
        }

        return self::from($plan, $run, $this->from);
    }

    /** Splices on the way stay. */
    public static function from(Plan $plan, Run $run, string $from): Plan
    {
        $cables = $plan->cables;
        foreach ($plan->ways()->feedsOf($run) as $feed) {
            foreach ($plan->ways()->wayTo($feed->id) as $id => $cable) {
                $cables[$id] = isset($plan->splices[$cable->from]) ? $cable : $cable->from($from);
            }
        }

        return $plan->with(cables: $cables);
    }

    public function words(Plan $plan): string
    {
        return $plan->run($this->run)->name() . ' fed from ' . strtoupper($this->from);
    }
}
