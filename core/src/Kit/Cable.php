<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Survey\Conductor;
use EmberDusk\Values\Refusal;

/** Cable by the metre: cores of one size. */
final readonly class Cable implements Entry
{
    public function __construct(
        private string $id,
        private string $name,
        public int $cores,
        public Conductor $conductor,
        public bool $outdoors = false,
    ) {}

    public static function read(Fields $f): self
    {
        try {
            $conductor = Conductor::from($f->string('system'), $f->number('size', 0, 100), $f->string('make'));
        } catch (Refusal $t) {
            throw $t->pointer === '' ? $f->invalid('size', $t->getMessage()) : $t;
        }

        return new self(
            id: $f->string('id'),
            name: $f->string('name'),
            cores: $f->whole('cores', 2, 7),
            conductor: $conductor,
            outdoors: $f->has('outdoors') && $f->flag('outdoors'),
        );
    }

    public function id(): string
    {
        return $this->id;
    }

    public function name(): string
    {
        return $this->name;
    }
}
