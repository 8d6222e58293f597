<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Profiles\Gesture;
use EmberDusk\Values\Refusal;

/** One field of a kind of kit: for forms, columns and files. */
final readonly class KindField
{
    /**
     * @param  string  $key with dots inside an object: profile.presses
     * @param  string  $type  text, number, whole, flag, choice, choices, numbers, signal (of a lamp), gesture or channels
     * @param  list<string>  $choices
     * @param  Rating|null  $rates the rule that judges it; null if it is no limit
     * @param  bool  $fact  whether it is a figure that limits nothing
     * @param  Assumed|null  $assumed  its value where an entry has none; null: absent
     */
    private function __construct(
        public string $key,
        public string $label,
        public string $type,
        public string $unit,
        public ?float $least,
        public ?float $most,
        public bool $required,
        public array $choices,
        public string $hint,
        public ?Rating $rates,
        public bool $fact,
        public ?Assumed $assumed,
    ) {}

    public static function read(Fields $f): self
    {
        return new self(
            key: $f->string('key'),
            label: $f->string('label'),
            type: $f->string('type'),
            unit: $f->stringOrNull('unit') ?? '',
            least: $f->numberOrNull('least'),
            most: $f->numberOrNull('most'),
            required: $f->has('required') && $f->flag('required'),
            choices: $f->stringsOr('choices', []),
            hint: $f->stringOrNull('hint') ?? '',
            rates: $f->maybe('rates', Rating::read(...)),
            fact: $f->has('fact') && $f->flag('fact'),
            assumed: $f->maybe('assumed', Assumed::read(...)),
        );
    }

    /**
     * Holds an entry's value against the field.
     *
     * @throws \EmberDusk\Values\Refusal
     */
    public function check(Fields $entry): void
    {
        [$in, $key] = $this->inside($entry);
        if ($in === null || !$in->has($key)) {
            if ($this->required && !str_contains($this->key, '.')) {
                throw $entry->invalid($this->key, "{$this->label} is missing.");
            }

            return;
        }
        match ($this->type) {
            'number' => $in->number($key, $this->least ?? -1e12, $this->most ?? 1e12),
            'whole' => $in->whole($key, (int) $this->least, (int) $this->most),
            'flag' => $in->flag($key),
            'choice' => $in->oneOf($key, $this->choices === [] ? [''] : $this->choices),
            'choices' => $this->several($in, $key),
            'numbers', 'signal' => $in->numbers($key, $this->least ?? -1e12, $this->most ?? 1e12),
            'channels' => $in->objects($key),
            'gesture' => $this->gesture($in, $key),
            default => $in->string($key, 400),
        };
    }

    /** @return array{Fields|null, string} where the value is and under which key */
    public function inside(Fields $entry): array
    {
        $parts = explode('.', $this->key);
        if (count($parts) === 1) {
            return [$entry, $parts[0]];
        }

        return [$entry->has($parts[0]) ? $entry->object($parts[0]) : null, $parts[1]];
    }

    /** Whether an entry leaves it to the assumed value. */
    public function isAssumed(Fields $entry): bool
    {
        [$in, $key] = $this->inside($entry);

        return $this->assumed !== null && ($in === null || !$in->has($key));
    }

    private function gesture(Fields $in, string $key): void
    {
        if (trim($in->string($key, 200)) === '') {
            return;
        }
        try {
            Gesture::read($in->string($key, 200));
        } catch (Refusal $t) {
            throw $in->invalid($key, $t->getMessage());
        }
    }

    private function several(Fields $in, string $key): void
    {
        foreach ($in->strings($key) as $n => $one) {
            if (!in_array($one, $this->choices, true)) {
                throw $in->invalid("{$key}/{$n}", "“{$one}” is not one of " . implode(', ', $this->choices) . '.');
            }
        }
    }
}
