<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Matrix;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Survey\Site\MatrixCell;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\JsonWritable;

/** One thing that may be seen, with its picture and the change that notes it. */
final readonly class MatrixAnswer implements JsonWritable
{
    use WrittenRecord;

    /** @param  list<MatrixCell>  $lit */
    public function __construct(
        public string $words,
        #[Field(of: MatrixCell::class)] public array $lit,
        public ChangePayload $note,
    ) {}
}
