<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Changes\Wires\FeedFrom;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\IncompletePlan;
use EmberDusk\Values\InvalidInput;

/** Moves a run to an existing supply or controller, or gives it a separate one of the same kind. */
final readonly class ShareKit extends Change
{
    private function __construct(private string $run, private string $with) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self($f->string('run'), $f->string('with', 40));
    }

    public static function for(string $run, string $with): self
    {
        return new self($run, $with);
    }

    public static function payload(string $run, string $with): ChangePayload
    {
        return ChangePayload::named('ShareKit', run: $run, with: $with);
    }

    protected function changed(Plan $plan): Plan
    {
        $run = $plan->run($this->run);

        return match (true) {
            isset($plan->controllers[$this->with]) => $this->controller($plan, $run),
            isset($plan->supplies[$this->with]) => $this->supply($plan, $run, $this->with),
            $this->with === 'own supply' => $this->ownSupply($plan, $run),
            $this->with === 'own controller' => $this->ownController($plan, $run),
            default => throw InvalidInput::unknown('/with', 'supply or controller', $this->with),
        };
    }

    public function words(Plan $plan): string
    {
        return $plan->run($this->run)->name() .
            ' ' .
            (str_starts_with($this->with, 'own ') ? 'has its ' . $this->with : 'on ' . strtoupper($this->with));
    }

    private function controller(Plan $plan, Run $run): Plan
    {
        $others = array_filter($plan->runs, fn(Run $r): bool => $r->controller === $this->with && $r->id !== $run->id);
        $other = reset($others);
        $strip = $plan->strip($run->strip);
        $drives = $plan->controller($this->with)?->pixels === null;
        if ($other === false || $strip?->switched() !== $drives) {
            throw IncompletePlan::at(
                '/with',
                match (true) {
                    $other === false => strtoupper($this->with) . ' drives no other run.',
                    $drives => 'Choose a strip that is switched by a controller first.',
                    default => 'Choose a pixel strip first: ' . strtoupper($this->with) . ' is a pixel board.',
                },
            );
        }
        if (
            count($plan->strip($other->strip)->channels ?? []) !== count($strip->channels) ||
            $plan->strip($other->strip)?->pixels?->bits !== $strip->pixels?->bits ||
            $plan->strip($other->strip)?->volts !== $strip->volts
        ) {
            throw InvalidInput::at(
                '/with',
                "{$run->name()} and {$other->name()} have strips of different kinds; one controller drives one kind.",
            );
        }

        return self::moved($plan, [$run->id => $run->equipped(supply: $other->supply, controller: $this->with)]);
    }

    /** All runs of the controller go with it. */
    private function supply(Plan $plan, Run $run, string $supply): Plan
    {
        $together = array_filter(
            $plan->runs,
            static fn(Run $r): bool => $r->id === $run->id ||
                ($run->controller !== null && $r->controller === $run->controller),
        );
        $plan = self::moved($plan, array_map(static fn(Run $r): Run => $r->equipped(supply: $supply), $together));

        return $plan->with(
            cables: array_map(
                static fn(LaidCable $c): LaidCable => $c->to === $run->controller && isset($plan->supplies[$c->from])
                    ? $c->from($supply)
                    : $c,
                $plan->cables,
            ),
        );
    }

    private function ownSupply(Plan $plan, Run $run): Plan
    {
        $kit =
            $plan->supplies[$run->supply ?? '']->kit ??
            throw IncompletePlan::at('/run', $run->name() . ' has no supply yet.');
        $id = Plan::nextId('s', $plan->supplies);

        return $this->supply($plan->with(supplies: $plan->supplies + [$id => new Device($id, $kit)]), $run, $id);
    }

    private function ownController(Plan $plan, Run $run): Plan
    {
        $kit =
            $plan->controllers[$run->controller ?? '']->kit ??
            throw IncompletePlan::at('/run', $run->name() . ' has no controller yet.');
        $id = Plan::nextId('c', $plan->controllers);
        $trunk = $plan->ways()->cableTo($run->controller ?? '');
        $plan = self::moved($plan->with(controllers: $plan->controllers + [$id => new Device($id, $kit)]), [
            $run->id => $run->equipped(controller: $id),
        ]);
        if ($trunk !== null) {
            $cable = Plan::nextId('k', $plan->cables);
            $plan = $plan->with(
                cables: $plan->cables + [
                    $cable => new LaidCable(
                        id: $cable,
                        kit: $trunk->kit,
                        from: $trunk->from,
                        to: $id,
                        length: $trunk->length,
                        reckoned: true,
                    ),
                ],
            );
        }

        return $plan;
    }

    /**
     * Runs as given, and the cables to their feeds beginning where they now must.
     *
     * @param  array<string, Run>  $runs
     */
    private static function moved(Plan $plan, array $runs): Plan
    {
        $plan = $plan->with(runs: $runs + $plan->runs);
        foreach ($runs as $run) {
            $from = $plan->ways()->origin($run);
            $plan = $from === null ? $plan : FeedFrom::from($plan, $run, $from);
        }

        return $plan;
    }
}
