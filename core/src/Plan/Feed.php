<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;

/** A feed point of a run: the pad that it is joined to, counted from the run's start. */
final readonly class Feed
{
    public function __construct(public string $id, public string $run, public int $pad) {}

    public static function read(Fields $f): self
    {
        return new self($f->string('id'), $f->string('run'), $f->whole('pad', 0, 400_000));
    }

    /** @return array<string, mixed> */
    public function write(): array
    {
        return ['id' => $this->id, 'run' => $this->run, 'pad' => $this->pad];
    }
}
