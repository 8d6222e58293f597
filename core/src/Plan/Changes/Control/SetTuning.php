<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Control;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Tuning;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;

/** Sets the dimming curve of a light and its power-on behaviour. */
final readonly class SetTuning extends Change
{
    private function __construct(private Tuning $tuning) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self(Tuning::read($f));
    }

    public static function payload(Tuning $tuning): ChangePayload
    {
        return ChangePayload::given('SetTuning', ...$tuning->write());
    }

    protected function changed(Plan $plan): Plan
    {
        $id = $this->tuning->id;
        if (!isset($plan->lightUnits()[$id])) {
            throw InvalidInput::at('/id', "The job has no light “{$id}” any more. Reload the page.");
        }
        $as = $this->tuning->curve === '' && $this->tuning->powerOn === '';

        return $plan->put('tunings', $id, $as ? null : $this->tuning);
    }

    public function words(Plan $plan): string
    {
        $says = array_filter([
            $this->tuning->curve === '' ? '' : 'dims ' . Tuning::CURVES[$this->tuning->curve],
            $this->tuning->returns() === '' ? '' : $this->tuning->returns() . ' when power returns',
        ]);

        return strtoupper($this->tuning->id) . ' ' . ($says === [] ? 'back to factory setting' : implode(', ', $says));
    }
}
