<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** The rules of one subject. */
final readonly class CheckedSubject implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  list<CheckedRule>  $rules
     */
    public function __construct(public string $subject, #[Field(of: CheckedRule::class)] public array $rules) {}
}
