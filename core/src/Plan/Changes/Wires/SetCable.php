<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Connector;
use EmberDusk\Kit\Entry;
use EmberDusk\Kit\Fuse;
use EmberDusk\Kit\InlineSwitch;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;

/**
 * Another kind, length, joint, fuse or switch for one cable; a length that is given counts as measured. An empty
 * joint is a terminal or solder, an empty fuse or switch none.
 */
final readonly class SetCable extends Change
{
    /** @param  array<string, KitSnapshot|null>  $fittings joint, fuse and switch, if given */
    private function __construct(
        private string $cable,
        private ?KitSnapshot $kit,
        private ?float $length,
        private array $fittings,
        private ?string $laid,
    ) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        $fittings = [];
        foreach (
            ['joint' => Connector::class, 'fuse' => Fuse::class, 'switch' => InlineSwitch::class]
            as $key => $kind
        ) {
            if ($f->has($key)) {
                $fittings[$key] = ($f->stringOrNull($key) ?? '') === '' ? null : self::found($f, $key, $kind, $shelf);
            }
        }

        return new self(
            $f->string('cable'),
            $f->has('kit') ? self::found($f, 'kit', Cable::class, $shelf) : null,
            $f->numberOrNull('length', 0.01, 1000),
            $fittings,
            $f->has('laid') ? $f->oneOf('laid', LaidCable::LAID) : null,
        );
    }

    /** Null values stay unchanged. */
    public static function payload(
        string $cable,
        ?string $kit = null,
        ?float $length = null,
        ?string $joint = null,
        ?string $fuse = null,
        ?string $laid = null,
        ?string $switch = null,
    ): ChangePayload {
        return ChangePayload::given(
            'SetCable',
            cable: $cable,
            kit: $kit,
            length: $length,
            joint: $joint,
            fuse: $fuse,
            laid: $laid,
            switch: $switch,
        );
    }

    protected function changed(Plan $plan): Plan
    {
        $cable = $this->cable($plan);
        $kit = $plan->kit;
        if (!$plan->ways()->fusible($cable) && ($this->fittings['fuse'] ?? ($this->fittings['switch'] ?? null))) {
            throw InvalidInput::at(
                isset($this->fittings['fuse']) ? '/fuse' : '/switch',
                strtoupper($cable->id) .
                    ' comes from a dimming module: no fuse or in-line switch for low volts belongs in it.',
            );
        }
        foreach (array_filter([$this->kit, ...array_values($this->fittings)]) as $snapshot) {
            $kit = [$snapshot->entry->id() => $snapshot] + $kit;
        }
        $laid = $this->kit === null ? $cable : $cable->withKit($this->kit->entry->id());
        if ($this->length !== null) {
            $laid = $laid->measured($this->length);
        }
        if ($this->laid !== null) {
            $laid = $laid->laid($this->laid);
        }
        $given = fn(string $key, ?string $now): ?string => array_key_exists($key, $this->fittings)
            ? $this->fittings[$key]?->entry->id()
            : $now;

        return $plan->with(
            cables: [
                $cable->id => $laid->fitted(
                    $given('joint', $laid->joint),
                    $given('fuse', $laid->fuse),
                    $given('switch', $laid->switch),
                ),
            ] + $plan->cables,
            kit: $kit,
        );
    }

    public function words(Plan $plan): string
    {
        $name = strtoupper($this->cable($plan)->id);
        $words = [];
        if ($this->kit !== null) {
            $words[] = "{$name} becomes {$this->kit->entry->name()}";
        }
        if ($this->length !== null) {
            $words[] = "{$name} is {$plan->terms->say($this->length)} long";
        }
        if (array_key_exists('joint', $this->fittings)) {
            $words[] =
                "{$name} joined by " .
                ($this->fittings['joint']?->entry->name() ?? $plan->ways()->joined($this->cable($plan)));
        }
        if (array_key_exists('fuse', $this->fittings)) {
            $words[] =
                $name .
                ($this->fittings['fuse'] === null
                    ? ' without a fuse'
                    : " fused, {$this->fittings['fuse']->entry->name()}");
        }

        if (array_key_exists('switch', $this->fittings)) {
            $words[] =
                $name .
                ($this->fittings['switch'] === null
                    ? ' without a switch'
                    : " switched by {$this->fittings['switch']->entry->name()}");
        }
        if ($this->laid !== null) {
            $words[] = "{$name} is laid: " . ($this->laid === '' ? 'nobody knows' : $this->laid);
        }

        return implode(' and ', $words);
    }

    /**
     * @param  class-string<Entry>  $kind
     *
     * @throws Refusal
     */
    private static function found(Fields $f, string $key, string $kind, ShelfSource $shelf): KitSnapshot
    {
        $kit = $shelf->find($f->string($key)) ?? throw $f->invalid($key, "The shelf has no “{$f->string($key)}”.");
        if (!($kit->entry instanceof $kind)) {
            throw $f->invalid(
                $key,
                $kit->entry->name() . ' is no ' . strtolower(substr((string) strrchr($kind, '\\'), 1)) . '.',
            );
        }

        return $kit;
    }

    private function cable(Plan $plan): LaidCable
    {
        return $plan->cables[$this->cable] ?? throw InvalidInput::unknown('/cable', 'cable', $this->cable);
    }
}
