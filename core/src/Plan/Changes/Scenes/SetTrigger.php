<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Scenes;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Trigger;
use EmberDusk\Values\InvalidInput;

/** Sets a trigger of a scene or a show; without a target it is removed. */
final readonly class SetTrigger extends Change
{
    /** Triggers of a job. */
    private const MOST = 60;

    private function __construct(private ?string $trigger, private ?Trigger $as) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $trigger = $f->stringOrNull('trigger');
        if ($f->has('gone') && $f->flag('gone')) {
            return new self($trigger, null);
        }

        return new self($trigger, Trigger::read(new Fields(['id' => $trigger ?? 'new'] + $f->all(), $f->pointer)));
    }

    protected function changed(Plan $plan): Plan
    {
        $id = $this->trigger ?? Plan::nextId('t', $plan->triggers);
        if ($this->trigger !== null && !isset($plan->triggers[$id])) {
            throw InvalidInput::unknown('/trigger', 'trigger', $id);
        }
        if ($this->as === null) {
            return $plan->put('triggers', $id, null);
        }
        if (!isset($plan->triggers[$id]) && count($plan->triggers) >= self::MOST) {
            throw InvalidInput::at('/trigger', 'A job has at most ' . self::MOST . ' things that start something.');
        }
        $known = $plan->scenes + $plan->shows + [Trigger::NOTHING => true];
        if (!isset($known[$this->as->plays])) {
            throw InvalidInput::unknown('/plays', 'scene or show', $this->as->plays);
        }

        return $plan->put('triggers', $id, $this->as->called($id));
    }

    public function words(Plan $plan): string
    {
        if ($this->as === null) {
            return 'Trigger removed';
        }

        return ucfirst($this->as->words()) . ' starts something';
    }
}
