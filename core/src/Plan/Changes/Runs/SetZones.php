<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Runs;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\IncompletePlan;
use EmberDusk\Values\InvalidInput;

/** Cuts the + rail of a pixel run at pads, the minus common, and says which supply feeds each. */
final readonly class SetZones extends Change
{
    /**
     * @param  list<int>  $pads
     * @param  array<string, string>  $supplies  by feed
     */
    private function __construct(private string $run, private array $pads, private array $supplies) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $supplies = [];
        if ($f->has('feeds')) {
            foreach ($f->objects('feeds') as $feed) {
                $supplies[$feed->string('feed', 40)] = $feed->string('supply', 40);
            }
        }
        $pads = array_map(static fn(float $p): int => (int) $p, $f->numbers('pads', 1, 400_000));
        sort($pads);

        return new self($f->string('run'), array_values(array_unique($pads)), $supplies);
    }

    /** @param  list<int>  $pads  where the + is cut */
    public static function payload(string $run, array $pads): ChangePayload
    {
        return ChangePayload::named('SetZones', run: $run, pads: $pads);
    }

    protected function changed(Plan $plan): Plan
    {
        $run = $plan->run($this->run);
        $marks = $plan->of($run)->cutMarks() ?? throw IncompletePlan::at('/run', 'Choose a strip first.');
        if ($plan->strip($run->strip)?->switched() !== false) {
            throw InvalidInput::at(
                '/run',
                'Only pixels can be split into zones. Cut + and every channel of other strips, and give each part its own controller or repeater.',
            );
        }
        foreach ($this->pads as $pad) {
            if ($pad >= $marks->lastPad()) {
                throw InvalidInput::at('/pads', "The + is cut inside the run, before pad {$marks->lastPad()}.");
            }
        }
        $cables = $plan->cables;
        foreach ($this->supplies as $feed => $supply) {
            $cable = $plan->ways()->cableTo($plan->feed($feed)->id);
            if (!isset($plan->supplies[$supply]) || $cable === null) {
                throw InvalidInput::at('/feeds', "No supply “{$supply}”, or feed {$feed} has no cable yet.");
            }
            $cables[$cable->id] = $cable->from($supply);
        }

        return $plan->with(runs: [$run->id => $run->cut($this->pads)] + $plan->runs, cables: $cables);
    }

    public function words(Plan $plan): string
    {
        return $plan->run($this->run)->name() .
            (count($this->pads) === 0 ? ': + whole again' : ': + cut at ' . count($this->pads) . ' pads, minus common');
    }
}
