<?php

declare(strict_types=1);

namespace EmberDusk\Formats\Record;

use Attribute;

/** A text that follows from a record's fields: written with it under the method's name, not read. */
#[Attribute(Attribute::TARGET_METHOD)]
final readonly class ComputedField {}
