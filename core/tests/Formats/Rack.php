<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Formats;

use EmberDusk\Formats\Fields;
use EmberDusk\Formats\Record\CheckedRecord;
use EmberDusk\Formats\Record\ComputedField;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\Record;

/** A rack with one field of each kind. */
final readonly class Rack implements CheckedRecord
{
    use Record;

    /**
     * @param  list<string>  $marks
     * @param  list<float>  $gaps  metres between
     *                             its shelves
     * @param  list<int>  $rows
     * @param  array<string, Jar>  $jars
     * @param  array<string, float>  $prices
     */
    public function __construct(
        #[Field(longest: 8)] public string $name,
        #[Field(1, 9)] public int $shelves,
        public bool $fixed,
        #[Field(oneOf: ['oak' => 'of oak', 'ash' => 'of ash'], orEmpty: true)] public string $wood,
        #[Field(oneOf: ['a', 'b'], of: Field::TEXTS)] public array $marks,
        #[Field(0, 2, of: Field::NUMBERS)] public array $gaps,
        #[Field(1, 3, of: Field::WHOLES)] public array $rows,
        #[Field(of: Jar::class, keyed: true)] public array $jars,
        #[Field(0, 10, pairs: ['of', 'price'])] public array $prices,
        public ?Jar $spare,
        #[Field(0, 1, optional: true)] public float $tilt = 0.5,
    ) {}

    #[ComputedField]
    public function label(): string
    {
        return "{$this->name}-{$this->shelves}";
    }

    public function checked(Fields $f): self
    {
        if (count($this->gaps) !== $this->shelves - 1) {
            throw $f->invalid('gaps', 'One gap fewer than shelves.');
        }

        return $this->withChanged(name: trim($this->name));
    }
}
