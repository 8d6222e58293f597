<?php

declare(strict_types=1);

namespace EmberDusk\Formats\Record;

use BackedEnum;
use EmberDusk\Formats\Fields;
use EmberDusk\Values\JsonWritable;
use LogicException;
use ReflectionNamedType;
use ReflectionParameter;
use ReflectionUnionType;

/** One field of a record: how it is read, written and described in a schema. */
final readonly class FieldShape
{
    /** Ids of records kept by id. */
    private const ID = '/^[a-z][a-z0-9]*(-[a-z0-9]+)*$/';

    private const LONGEST_ID = 40;

    /** A text or a number: written, not read. */
    public const UNION = 'string|number';

    /**
     * @param  list<string>  $allowed  texts; empty: any
     * @param  bool  $absent  whether it may be absent
     */
    private function __construct(
        public string $name,
        public string $type,
        public bool $nullable,
        public Field $field,
        public array $allowed,
        private bool $absent,
        private mixed $default,
    ) {}

    /** @throws LogicException for a type that a record cannot have */
    public static function for(ReflectionParameter $parameter): self
    {
        $type = $parameter->getType();
        if (!($type instanceof ReflectionNamedType) && !($type instanceof ReflectionUnionType)) {
            throw new LogicException("\${$parameter->getName()} needs a type.");
        }
        $name = $type instanceof ReflectionNamedType ? $type->getName() : self::UNION;
        $attribute = $parameter->getAttributes(Field::class)[0] ?? null;
        $field = $attribute?->newInstance() ?? new Field();
        $allowed = array_is_list($field->oneOf) ? $field->oneOf : array_map(strval(...), array_keys($field->oneOf));
        $enum = self::enum($name);
        if ($enum !== null) {
            $allowed = array_map(static fn(BackedEnum $case): string => (string) $case->value, $enum::cases());
        }

        return new self(
            name: $parameter->getName(),
            type: $name,
            nullable: $type->allowsNull(),
            field: $field,
            allowed: $field->orEmpty ? ['', ...$allowed] : $allowed,
            absent: $type->allowsNull() || $field->optional,
            default: $field->optional ? $parameter->getDefaultValue() : null,
        );
    }

    /** @throws \EmberDusk\Values\Refusal with the pointer of the field */
    public function read(Fields $f): mixed
    {
        if ($this->absent && !$f->has($this->name)) {
            return $this->default;
        }

        return match ($this->type) {
            'string' => $this->text($f),
            'int' => $f->whole($this->name, (int) $this->field->least, (int) $this->field->most),
            'float' => $f->number($this->name, $this->field->least, $this->field->most),
            'bool' => $f->flag($this->name),
            'array' => $this->list($f),
            default => $this->ofClass($f),
        };
    }

    private function ofClass(Fields $f): mixed
    {
        $enum = self::enum($this->type);
        if ($enum !== null) {
            return $enum::from($this->text($f));
        }

        return $this->record($this->type, $f->object($this->name));
    }

    /** @return class-string<BackedEnum>|null the type, where it is an enum of texts */
    private static function enum(string $type): ?string
    {
        return is_subclass_of($type, BackedEnum::class) ? $type : null;
    }

    /** Whether its values are lists, maps or records, so that writing changes them. */
    public function compound(): bool
    {
        return match ($this->type) {
            'string', 'int', 'float', 'bool', self::UNION => false,
            'array' => $this->field->pairs !== null || $this->field->map || class_exists($this->field->of),
            default => true,
        };
    }

    public function write(mixed $value): mixed
    {
        if ($value instanceof JsonWritable) {
            return $value->write();
        }
        if ($value instanceof BackedEnum) {
            return $value->value;
        }
        if (!is_array($value)) {
            return $value;
        }
        $list = [];
        if ($this->field->pairs !== null) {
            [$key, $item] = $this->field->pairs;
            foreach ($value as $k => $v) {
                $list[] = [$key => $k, $item => $v];
            }

            return $list;
        }
        foreach ($value as $key => $record) {
            $list[$key] = $this->write($record);
        }

        return $this->field->map ? (object) $list : array_values($list);
    }

    private function text(Fields $f): string
    {
        if ($this->allowed !== []) {
            return $f->oneOf($this->name, $this->allowed);
        }

        return $f->string($this->name, $this->field->longest);
    }

    /** @return array<array-key, mixed> */
    private function list(Fields $f): array
    {
        if ($this->field->pairs !== null) {
            return $this->map($f);
        }

        return match (true) {
            $this->field->of === Field::TEXTS => $this->texts($f),
            $this->field->of === Field::NUMBERS => $this->numbers($f, $this->name),
            $this->field->of === Field::WHOLES => array_map(intval(...), $this->numbers($f, $this->name)),
            $this->field->keyed => $this->keyed($f),
            default => array_map(
                fn(Fields $item): JsonReadable => $this->record($this->field->of, $item),
                $f->objects($this->name),
            ),
        };
    }

    /** @return list<float> */
    private function numbers(Fields $f, string $name): array
    {
        return $f->numbers($name, $this->field->least, $this->field->most);
    }

    /** @return list<string> */
    private function texts(Fields $f): array
    {
        $texts = $f->strings($this->name);
        foreach ($this->allowed === [] ? [] : $texts as $n => $text) {
            if (!in_array($text, $this->allowed, true)) {
                throw $f->invalid(
                    "{$this->name}/{$n}",
                    "“{$text}” is not one of " . implode(', ', $this->allowed) . '.',
                );
            }
        }

        return $texts;
    }

    /** @return array<string, float|list<float>> */
    private function map(Fields $f): array
    {
        [$key, $value] = $this->field->pairs ?? throw new LogicException("{$this->name} has no pairs.");
        $map = [];
        foreach ($f->objects($this->name) as $pair) {
            $map[$pair->string($key, self::LONGEST_ID)] =
                $this->field->of === Field::NUMBERS
                    ? $this->numbers($pair, $value)
                    : $pair->number($value, $this->field->least, $this->field->most);
        }

        return $map;
    }

    /** @return array<string, JsonReadable> */
    private function keyed(Fields $f): array
    {
        $items = [];
        foreach ($f->objects($this->name) as $item) {
            $id = $item->string('id');
            if (preg_match(self::ID, $id) !== 1 || strlen($id) > self::LONGEST_ID) {
                throw $item->invalid(
                    'id',
                    'An id has small letters, digits and single dashes, at most 40, and begins with a letter.',
                );
            }
            if (isset($items[$id])) {
                throw $item->invalid('id', "“{$id}” is there twice.");
            }
            $items[$id] = $this->record($this->field->of, $item);
        }

        return $items;
    }

    private function record(string $class, Fields $f): JsonReadable
    {
        if (!is_subclass_of($class, JsonReadable::class)) {
            throw new LogicException("{$this->name} holds “{$class}”, which is no record.");
        }

        return $class::read($f);
    }
}
