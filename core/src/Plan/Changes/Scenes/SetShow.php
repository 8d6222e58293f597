<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Scenes;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Show;
use EmberDusk\Values\InvalidInput;

/** A show; one without steps and without lights is taken out. */
final readonly class SetShow extends Change
{
    private function __construct(private ?string $show, private Show $as) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $show = $f->stringOrNull('show');
        // The kind of the change and the kind of the show share a word.
        $as = Show::read(new Fields(['id' => $show ?? 'new', 'kind' => $f->string('as', 20)] + $f->all(), $f->pointer));

        return new self(
            $show,
            $as->name === '' ? throw $f->invalid('name', 'Give the show a name: it is used for voice control.') : $as,
        );
    }

    protected function changed(Plan $plan): Plan
    {
        $id = $this->show ?? Plan::nextId('w', $plan->shows + $plan->scenes);
        if ($this->show !== null && !isset($plan->shows[$id])) {
            throw InvalidInput::unknown('/show', 'show', $id);
        }
        if (!isset($plan->shows[$id]) && count($plan->shows) >= Show::MOST) {
            throw InvalidInput::at('/show', 'A job has at most ' . Show::MOST . ' shows.');
        }
        if ($this->as->steps === [] && $this->as->lights === []) {
            return $plan->put('shows', $id, null);
        }
        foreach ([...$plan->scenes, ...$plan->shows] as $other) {
            if ($other->id !== $id && mb_strtolower($other->name) === mb_strtolower($this->as->name)) {
                throw InvalidInput::at('/name', "“{$other->name}” is a scene or a show already.");
            }
        }
        foreach ($this->as->steps as $n => $step) {
            if (!isset($plan->scenes[$step->scene])) {
                throw InvalidInput::unknown("/steps/{$n}/scene", 'scene', $step->scene);
            }
        }
        foreach ($this->as->lights as $n => $light) {
            if (!isset($plan->lightUnits()[$light]) && $plan->pixelRun($light) === null) {
                throw InvalidInput::unknown("/lights/{$n}", 'light', $light);
            }
        }

        return $plan->put('shows', $id, $this->as->called($id));
    }

    public function words(Plan $plan): string
    {
        return "Show “{$this->as->name}” " .
            ($this->as->steps === [] && $this->as->lights === [] ? 'taken out' : 'set');
    }
}
