<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

use EmberDusk\Checks\Controller\ControllerAmps;
use EmberDusk\Checks\Controller\InputRange;
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

/** A run with its chosen kit, its result if solved, and the shelf for fixes. */
final readonly class JudgedRun
{
    public ?Strip $strip;

    public ?Supply $supply;

    public ?Controller $controller;

    public Plan $plan;

    public ?RunResult $result;

    public ?ShelfSource $shelf;

    public function __construct(public JudgedJob $job, public Run $run)
    {
        $this->plan = $plan = $job->plan;
        $this->result = $job->result($run->id);
        $this->shelf = $job->shelf;
        $this->strip = $plan->strip($run->strip);
        $this->supply = $plan->supply($run->supply);
        $this->controller = $plan->controller($run->controller);
    }

    /** Nominal watts of the run's lit length with every channel on. */
    public function watts(): float
    {
        return ($this->strip?->wattsPerMetre() ?? 0.0) * $this->plan->of($this->run)->litLength();
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

    /**
     * The least entry of a kind on the shelf that will do.
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
        return $this->job->smallest($kind, $fits, $size);
    }

    /** The smallest controller on the shelf that has the channels, takes the volts and carries the run; for pixels the smallest board. */
    public function fittingController(): ?Controller
    {
        $supply = $this->supply;
        $volts = $this->strip?->volts;
        $load = $this->run->controller !== null ? $this->job->controller($this->run->controller) : null;

        return $this->smallest(
            Controller::class,
            fn(Controller $c): bool => ($supply === null
                ? $volts === null || InputRange::takes($c, $volts)
                : InputRange::suits($c, $supply)) &&
                $this->driven($c) &&
                ($load === null || ControllerAmps::over($load->on($c)) <= 1.0),
            static fn(Controller $c): float => $c->totalAmps,
        );
    }

    /** Whether a controller has the outputs that the run needs; a trial board is for no job. */
    private function driven(Controller $c): bool
    {
        $strip = $this->strip;
        if ($strip === null) {
            return $c->pixels === null;
        }
        if ($strip->pixels === null) {
            return $c->pixels === null && $c->channels >= count($strip->channels) && $c->switches !== $strip->common;
        }

        return $c->pixels?->trial === false && $c->pixels->count * $c->pixels->each >= $this->pixels();
    }

    /** Pixels of the run; 0 of other strips. */
    public function pixels(): int
    {
        return $this->plan->of($this->run)->pixels();
    }

    /** @return list<Fix> that take the smallest fitting controller */
    public function takeFittingController(): array
    {
        $other = $this->fittingController();
        if ($other === null) {
            return [];
        }

        return [new Fix('Use ' . $other->name(), ChooseKit::payload(run: $this->run->id, kit: $other->id()))];
    }

    /** @return list<Fix> that chooses kit of the job for the run again; none where the shelf no longer has it */
    public function chosenAgain(string $label, string $kit): array
    {
        if ($this->shelf?->find($kit) === null) {
            return [];
        }

        return [new Fix($label, ChooseKit::payload(run: $this->run->id, kit: $kit))];
    }

    public function device(?string $id): string
    {
        return strtoupper($id ?? '');
    }
}
