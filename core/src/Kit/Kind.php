<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/** A kind of kit: its words and its fields. */
final readonly class Kind
{
    /** @var list<KindField> fields that Ratings judges: those without a check of their own */
    public array $rated;

    /**
     * @param  string  $group  light, power, control, wire, mounting or hand
     * @param  non-empty-array<string, KindField>  $fields  by key
     */
    private function __construct(
        public string $kind,
        public string $name,
        public string $plural,
        public string $group,
        public array $fields,
    ) {
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
