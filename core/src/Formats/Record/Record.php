<?php

declare(strict_types=1);

namespace EmberDusk\Formats\Record;

use EmberDusk\Formats\Fields;
use EmberDusk\Values\Copies;

/**
 * Reading, writing and copying of a readonly class, derived from its constructor: parameter names are the keys, in the order of the
 * document; {@see Field} says what each allows.
 */
trait Record
{
    use Copies;
    use WrittenRecord;

    /** @throws \EmberDusk\Values\Refusal with a JSON Pointer to the first value that is not allowed */
    public static function read(Fields $f): static
    {
        /** @phpstan-ignore argument.type (the shape has checked every field) */
        $record = new static(...Shape::for(self::class)->read($f));
        if ($record instanceof CheckedRecord) {
            $record = $record->checked($f);
        }

        /** @phpstan-ignore return.type (a record in its normal form is of its own class) */
        return $record;
    }
}
