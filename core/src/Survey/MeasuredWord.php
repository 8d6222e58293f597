<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** A length read from the notes: its words as one, metres, and the system that it was written in. */
final readonly class MeasuredWord
{
    public function __construct(public Word $word, public float $metres, public string $system) {}
}
