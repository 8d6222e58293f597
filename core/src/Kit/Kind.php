<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/** A kind of kit: its words and its fields. */
final readonly class Kind
{
    /** @var list<KindField> fields that Ratings judges: those without a check of their own */
    public array $rated;

    /** @var array<string, KindField> fields with an assumed value, by key */
    private array $assuming;

    /**
     * @param  string  $group  light, power, control, wire, mounting or hand
     * @param  non-empty-array<string, KindField>  $fields  by key
     * @param  Beside|null  $beside  of kit beside the chains of the runs
     */
    private function __construct(
        public string $kind,
        public string $name,
        public string $plural,
        public string $group,
        public array $fields,
        public ?Beside $beside = null,
    ) {
        $this->assuming = array_filter($fields, static fn(KindField $f): bool => $f->assumed !== null);
        $this->rated = array_values(array_filter($fields, static fn(KindField $f): bool => $f->rates?->code === ''));
    }

    public static function read(Fields $f): self
    {
        $fields = [];
        foreach ($f->objects('fields') as $field) {
            $read = KindField::read($field);
            $fields[$read->key] = $read;
        }

        return new self(
            kind: $f->string('kind'),
            name: $f->string('name'),
            plural: $f->string('plural'),
            group: $f->string('group'),
            fields: $fields === [] ? throw $f->invalid('fields', 'A kind has fields.') : $fields,
            beside: $f->maybe('beside', Beside::read(...)),
        );
    }

    /**
     * An entry with the assumed value of each field that it does not state.
     *
     * @throws \EmberDusk\Values\Refusal where such a value follows from a field that is missing
     */
    public function completed(Fields $entry): Fields
    {
        $whole = $entry->all();
        foreach ($this->assuming as $key => $field) {
            if (!$field->isAssumed($entry)) {
                continue;
            }
            $value =
                $field->assumed?->for(new Fields($whole)) ?? throw $entry->invalid($key, "{$field->label} is missing.");
            if ($field->type === 'whole') {
                $value = (int) max((int) $field->least, floor($value));
            }
            $parts = explode('.', $key);
            if (count($parts) === 1) {
                $whole[$key] = $value;
            } else {
                $whole[$parts[0]] = [$parts[1] => $value] + (array) ($whole[$parts[0]] ?? []);
            }
        }

        return new Fields($whole, $entry->pointer);
    }

    /** The value that an empty field has, in words; empty without one. */
    public function assumedWords(KindField $field): string
    {
        $assumed = $field->assumed;
        if ($assumed === null) {
            return '';
        }
        $label = fn(string $key): string => mb_strtolower($this->fields[$key]->label ?? $key);

        return match (true) {
            $assumed->follows => '',
            $assumed->by !== '' => "by {$label($assumed->by)}",
            $assumed->of === '' => sprintf('%g', $assumed->times),
            $assumed->over === '' => sprintf('%g × %s', $assumed->times, $label($assumed->of)),
            default => sprintf('%g × %s ÷ %s', $assumed->times, $label($assumed->of), $label($assumed->over)),
        };
    }

    /** @return list<string> labels of the fields of an entry that are assumed */
    public function assumed(Fields $entry): array
    {
        return array_values(
            array_map(
                static fn(KindField $f): string => $f->label,
                array_filter(
                    $this->assuming,
                    static fn(KindField $f): bool => $f->assumed?->follows === false && $f->isAssumed($entry),
                ),
            ),
        );
    }

    /**
     * Every field of an entry is known and fits.
     *
     * @throws \EmberDusk\Values\Refusal at the first that does not
     */
    public function check(Fields $entry): void
    {
        foreach ($this->fields as $field) {
            $field->check($entry);
        }
    }
}
