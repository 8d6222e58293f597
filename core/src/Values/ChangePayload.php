<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/** A change that is asked for, as its own class wrote it and Plan\Changes\Catalogue reads it: ids of the shelf and the plan. */
final readonly class ChangePayload implements JsonWritable
{
    /** @param  array<string, mixed>  $fields  in the order in which they are written */
    private function __construct(private string $kind, private array $fields) {}

    /** @param  mixed  ...$fields  by name */
    public static function named(string $kind, mixed ...$fields): self
    {
        return new self($kind, array_combine(array_map(strval(...), array_keys($fields)), $fields));
    }

    /** Without the fields that are not given. */
    public static function given(string $kind, mixed ...$fields): self
    {
        return self::named($kind, ...array_filter($fields, static fn(mixed $v): bool => $v !== null));
    }

    /** @param  array<string, mixed>  $written  by {@see write} */
    public static function read(array $written): self
    {
        return new self(is_string($written['kind']) ? $written['kind'] : '', array_diff_key($written, ['kind' => 0]));
    }

    /** @return array<string, mixed> */
    public function write(): array
    {
        return ['kind' => $this->kind, ...$this->fields];
    }
}
