<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Control;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Answer;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;

/** Says whether a light answers to a way of control, and in which zone; null leaves it to what kit and place say. */
final readonly class SetAnswer extends Change
{
    private function __construct(
        private string $control,
        private string $light,
        private ?bool $wanted,
        private int $zone,
    ) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self(
            $f->string('control', 40),
            $f->string('light', 40),
            ($f->all()['wanted'] ?? null) === null ? null : $f->flag('wanted'),
            $f->wholeOrNull('zone', 0, Answer::MOST_ZONES) ?? 0,
        );
    }

    public static function payload(string $control, string $light, ?bool $wanted, int $zone = 0): ChangePayload
    {
        return ChangePayload::given('SetAnswer', control: $control, light: $light, wanted: $wanted, zone: $zone);
    }

    protected function changed(Plan $plan): Plan
    {
        $known = $plan->hubs + $plan->items + [Answer::PHONE => true];
        if (!isset($known[$this->control])) {
            throw InvalidInput::at('/control', "The job has no “{$this->control}” any more. Reload the page.");
        }
        if (!isset($plan->lightUnits()[$this->light])) {
            throw InvalidInput::at('/light', "The job has no “{$this->light}” any more. Reload the page.");
        }
        $key = Answer::key($this->control, $this->light);
        $wanted = $this->wanted;

        return $plan->put(
            'answers',
            $key,
            $wanted === null ? null : new Answer($this->control, $this->light, $wanted, $this->zone),
        );
    }

    public function words(Plan $plan): string
    {
        [$light, $control] = [strtoupper($this->light), strtoupper($this->control)];

        return match ($this->wanted) {
            true => "{$light} answers to {$control}" . ($this->zone > 0 ? " zone {$this->zone}" : ''),
            false => "{$light} does not answer to {$control}",
            null => "Whether {$light} answers to {$control} follows the kit again",
        };
    }
}
