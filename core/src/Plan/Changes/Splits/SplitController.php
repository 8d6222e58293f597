<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Splits;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;

/** Cuts a wired run in halves, the second on its own controller: the same model beside the first, from the same supply. */
final readonly class SplitController extends Change
{
    private function __construct(private string $run) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self($f->string('run'));
    }

    public static function payload(string $run): ChangePayload
    {
        return ChangePayload::named('SplitController', run: $run);
    }

    protected function changed(Plan $plan): Plan
    {
        $parting = EqualParts::for($plan, $this->run, 'second', 2);
        $plan = $parting->plan;
        [$first, $second] = $parting->parts;
        if ($plan->strip($first->strip)?->switched() === false) {
            throw InvalidInput::at(
                '/run',
                'Pixels take their power straight from the supply: a second controller is one for data, at Kit.',
            );
        }
        $old = $plan->controllers[$first->controller ?? ''];
        $id = Plan::nextId('c', $plan->controllers);
        $plan = $plan->with(
            controllers: $plan->controllers + [$id => $old->as($id)],
            runs: [$second->id => $second->equipped(controller: $id)] + $plan->runs,
        );
        $trunk = $plan->ways()->cableTo($old->id);
        if ($trunk !== null) {
            $cable = Plan::nextId('k', $plan->cables);
            $plan = $plan->with(cables: $plan->cables + [$cable => $trunk->like($cable, $trunk->from, $id)]);
        }

        return EqualParts::remembered(
            EqualParts::played(ReconnectedCables::for($plan, $second, $id), $old->id, $id),
            $parting->split->adding($id),
        );
    }

    public function words(Plan $plan): string
    {
        return $plan->run($this->run)->whole() . ' split, with a second controller for the second half';
    }
}
