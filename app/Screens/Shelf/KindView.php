<?php

declare(strict_types=1);

namespace App\Screens\Shelf;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Kit\Kind;
use EmberDusk\Kit\KindField;

/** A kind of kit with its fields. */
final readonly class KindView implements View
{
    use WrittenRecord;

    /** @param  list<KindFieldView>  $fields */
    public function __construct(
        public string $kind,
        public string $name,
        public string $plural,
        public string $group,
        #[Field(of: KindFieldView::class)] public array $fields,
    ) {}

    public static function for(Kind $kind): self
    {
        return new self(
            kind: $kind->kind,
            name: $kind->name,
            plural: $kind->plural,
            group: $kind->group,
            fields: array_map(
                static fn(KindField $f): KindFieldView => new KindFieldView(
                    key: $f->key,
                    label: $f->label,
                    type: $f->type,
                    unit: $f->unit,
                    required: $f->required,
                    choices: $f->choices,
                    hint: $f->hint,
                    assumed: $kind->assumedWords($f),
                ),
                array_values($kind->fields),
            ),
        );
    }
}
