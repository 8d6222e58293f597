<?php

declare(strict_types=1);

namespace EmberDusk\Formats\Record;

use EmberDusk\Formats\Fields;

/** A record with rules between its fields, or with a normal form. */
interface CheckedRecord extends JsonReadable
{
    /**
     * The record in its normal form.
     *
     * @throws \EmberDusk\Values\Refusal with the pointer of the field that breaks a rule
     */
    public function checked(Fields $f): self;
}
