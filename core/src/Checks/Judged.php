<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

use EmberDusk\Checks\Controller\ControllerAmps;
use EmberDusk\Checks\Fixture\Lamps;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Entry;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Kit\Strip;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Changes\Kit\ChooseKit;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Fix;

/** A run with its kit as far as it is chosen, its result when it was solved, and the shelf that fixes are taken from. */
final readonly class Judged
{
    public ?Strip $strip;

    public ?Supply $supply;

    public ?Controller $controller;

    public function __construct(
        public Plan $plan,
        public Run $run,
        public ?RunResult $result,
        public ?ShelfSource $shelf,
    ) {
        $this->strip = $plan->strip($run->strip);
        $this->supply = $plan->supply($run->supply);
        $this->controller = $plan->controller($run->controller);
    }

    /** Nominal watts of the run's lit length with every channel on. */
    public function watts(): float
    {
        return self::nominal($this->plan, $this->run);
    }

    /** Nominal watts of all runs on this run's supply, each as far as its limit lets it. */
    public function supplyWatts(): float
    {
        return array_sum(array_map(fn(Run $r): float => self::nominal($this->plan, $r) * $r->cap, $this->onSupply())) +
            Lamps::watts($this->plan, (string) $this->run->supply);
    }

    /** @return list<Run> on the same supply, this one among them */
    public function onSupply(): array
    {
        return array_values(
            array_filter(
                $this->plan->runs,
                fn(Run $r): bool => $r->id === $this->run->id ||
                    ($r->supply !== null && $r->supply === $this->run->supply),
            ),
        );
    }

    /** @return list<Run> under the same controller, this one among them */
    public function underController(): array
    {
        return array_values(
            array_filter(
                $this->plan->runs,
                fn(Run $r): bool => $r->id === $this->run->id ||
                    ($r->controller !== null && $r->controller === $this->run->controller),
            ),
        );
    }

    private static function nominal(Plan $plan, Run $run): float
    {
        return ($plan->strip($run->strip)?->wattsPerMetre() ?? 0.0) * ($plan->cutMarks($run)?->length() ?? 0.0);
    }

    /**
     * Entries of a kind from the shelf that will do, the least of them first.
     *
     * @template T of Entry
     *
     * @param  class-string<T>  $kind
     * @param  callable(T): bool  $fits
     * @param  callable(T): float  $size
     * @return T|null
     */
    public function smallest(string $kind, callable $fits, callable $size): ?Entry
    {
        $best = null;
        $name = strtolower(substr((string) strrchr($kind, '\\'), 1));
        foreach ($this->shelf?->ofKind($name) ?? [] as $snapshot) {
            $entry = $snapshot->entry;
            if ($entry instanceof $kind && $fits($entry) && ($best === null || $size($entry) < $size($best))) {
                $best = $entry;
            }
        }

        return $best;
    }

    /** The smallest controller on the shelf that has the channels, takes the volts and carries the run. */
    public function fittingController(): ?Controller
    {
        $strip = $this->strip;
        $volts = $this->supply->volts ?? $strip?->volts;
        $metres = array_sum(
            array_map(fn(Run $r): float => $this->plan->cutMarks($r)?->length() ?? 0.0, $this->underController()),
        );

        return $this->smallest(
            Controller::class,
            static fn(Controller $c): bool => ($volts === null ||
                ($c->inputLeast <= $volts && $volts <= $c->inputMost)) &&
                ($strip === null ||
                    ($c->channels >= count($strip->channels) && ControllerAmps::metres($strip, $c) >= $metres)),
            static fn(Controller $c): float => $c->totalAmps,
        );
    }

    /** @return list<Fix> that take the smallest fitting controller */
    public function takeFittingController(): array
    {
        $other = $this->fittingController();
        if ($other === null) {
            return [];
        }

        return [new Fix('Take ' . $other->name(), ChooseKit::payload(run: $this->run->id, kit: $other->id()))];
    }

    public function device(?string $id): string
    {
        return strtoupper($id ?? '');
    }
}
