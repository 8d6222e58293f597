<?php

declare(strict_types=1);

namespace EmberDusk\Formats\Record;

use EmberDusk\Formats\Fields;
use EmberDusk\Values\JsonWritable;
use ReflectionClass;
use ReflectionMethod;

/** Fields of one record class, read from its constructor once a process. */
final class Shape
{
    /** @var array<class-string, self> */
    private static array $known = [];

    /**
     * @param  array<string, string>  $computed  methods whose results are written first and not read, by key
     * @param  array<string, FieldShape>  $fields  in the order of the document
     * @param  array<string, FieldShape>  $compound  those of them that are lists, maps or records
     */
    private function __construct(
        public readonly array $computed,
        public readonly array $fields,
        private readonly array $compound,
    ) {}

    /** @param  class-string  $class */
    public static function for(string $class): self
    {
        return self::$known[$class] ??= self::described($class);
    }

    /** @param  class-string  $class */
    private static function described(string $class): self
    {
        $reflection = new ReflectionClass($class);
        $computed = [];
        foreach ($reflection->getMethods(ReflectionMethod::IS_PUBLIC) as $method) {
            if ($method->getAttributes(ComputedField::class) !== []) {
                $computed[$method->getName()] = $method->getName();
            }
        }
        $fields = [];
        foreach ($reflection->getConstructor()?->getParameters() ?? [] as $parameter) {
            $fields[$parameter->getName()] = FieldShape::for($parameter);
        }

        return new self($computed, $fields, array_filter($fields, static fn(FieldShape $f): bool => $f->compound()));
    }

    /** @return list<mixed> arguments of the constructor in their order */
    public function read(Fields $f): array
    {
        $given = $f->all();
        $values = [];
        foreach ($this->fields as $name => $field) {
            $value = $given[$name] ?? null;
            // Most values are plain and right; the others go the long way, which says what is wrong with them.
            $right = match ($field->type) {
                'string' => is_string($value) &&
                    $field->allowed === [] &&
                    strlen($value) <= $field->field->longest &&
                    mb_check_encoding($value, 'UTF-8'),
                'int' => is_int($value) && $value >= $field->field->least && $value <= $field->field->most,
                'float' => is_float($value) && $value >= $field->field->least && $value <= $field->field->most,
                'bool' => is_bool($value),
                default => false,
            };
            $values[] = $right ? $value : $field->read($f);
        }

        return $values;
    }

    /** @return array<string, mixed> */
    public function write(object $record): array
    {
        // Promoted properties come in the constructor's order.
        /** @var array<string, mixed> $written */
        $written = get_object_vars($record);
        foreach ($this->compound as $name => $field) {
            $value = $written[$name];
            if ($value instanceof JsonWritable && $field->field->inline) {
                unset($written[$name]);
                $written += $value->write();
            } elseif ($value instanceof JsonWritable) {
                $written[$name] = $value->write();
            } elseif ($field->field->map || ($value !== null && $value !== [])) {
                $written[$name] = $field->write($value);
            }
        }
        if ($this->computed === []) {
            return $written;
        }

        return array_map(static fn(string $name): mixed => $record->{$name}(), $this->computed) + $written;
    }
}
