<?php

declare(strict_types=1);

namespace EmberDusk\Formats\Record;

use LogicException;
use ReflectionClass;

/** JSON Schema of records, with a definition for each class; descriptions come from the docblocks. */
final class RecordSchema
{
    private const PLAIN = ['string' => 'string', 'int' => 'integer', 'float' => 'number', 'bool' => 'boolean'];

    /** @var array<string, array<string, mixed>> */
    private array $definitions = [];

    /** @var array<string, string> classes by name of the definition */
    private array $classes = [];

    /** @param  array<class-string, string>  $elsewhere  definitions of classes that are described in another schema */
    public function __construct(private readonly array $elsewhere = []) {}

    /** @return array<string, array<string, mixed>> by name, in the order in which they were met */
    public function definitions(): array
    {
        return $this->definitions;
    }

    /**
     * Schema of a record.
     *
     * @param  class-string  $class
     * @return array{type: string, description: string, properties: array<string, mixed>, required: list<string>, additionalProperties: false}
     */
    public function object(string $class): array
    {
        $shape = Shape::for($class);
        $comments = self::comments($class);
        $properties = array_map(static fn(): array => ['type' => 'string'], $shape->computed);
        foreach ($shape->fields as $name => $field) {
            if ($field->field->inline) {
                $properties += $this->inline($field->type);

                continue;
            }
            $schema = $this->field($field);
            $about = $comments[$name] ?? '';
            // A reference has no siblings.
            $properties[$name] =
                $about === '' || isset($schema['$ref']) ? $schema : $schema + ['description' => $about];
        }

        return [
            'type' => 'object',
            'description' => $comments[''] ?? '',
            'properties' => $properties,
            'required' => array_keys($properties),
            'additionalProperties' => false,
        ];
    }

    /** @return array<string, mixed> schemas of the fields by name */
    private function inline(string $class): array
    {
        if (is_subclass_of($class, RecordsByKey::class)) {
            return array_map(
                fn(string $c): array => ['oneOf' => [$this->reference($c), ['type' => 'null']]],
                $class::classes(),
            );
        }
        if (!class_exists($class)) {
            throw new LogicException("“{$class}” is no record.");
        }

        return $this->object($class)['properties'];
    }

    /** @return array<string, mixed> */
    private function field(FieldShape $field): array
    {
        $type = match (true) {
            $field->type === 'array' => $this->list($field),
            $field->allowed !== [] => ['type' => 'string', 'enum' => $field->allowed],
            $field->type === FieldShape::UNION => ['type' => ['string', 'number']],
            isset(self::PLAIN[$field->type]) => ['type' => self::PLAIN[$field->type]],
            $field->field->of !== '' => $this->reference($field->field->of),
            default => $this->reference($field->type),
        };
        if (!$field->nullable) {
            return $type;
        }
        if (isset($type['$ref'])) {
            return ['oneOf' => [$type, ['type' => 'null']]];
        }

        return ['type' => [$type['type'], 'null']] + $type;
    }

    /** @return array<string, mixed> */
    private function list(FieldShape $field): array
    {
        $schema = $this->items($field);
        if ($field->field->map) {
            return ['type' => 'object', 'additionalProperties' => $schema];
        }
        for ($n = 0; $n < $field->field->depth; $n++) {
            $schema = ['type' => 'array', 'items' => $schema];
        }

        return $schema;
    }

    /** @return array<string, mixed> */
    private function items(FieldShape $field): array
    {
        $of = $field->field->of;
        $item = match (true) {
            $field->field->pairs !== null => self::pair($field->field),
            $of === Field::TEXTS => ['type' => 'string'] + ($field->allowed === [] ? [] : ['enum' => $field->allowed]),
            $of === Field::NUMBERS => ['type' => 'number'],
            $of === Field::WHOLES => ['type' => 'integer'],
            default => $this->reference($of),
        };

        return $item;
    }

    /** @return array<string, mixed> */
    private static function pair(Field $field): array
    {
        [$key, $value] = $field->pairs ?? ['', ''];
        $number = ['type' => 'number'];

        return [
            'type' => 'object',
            'properties' => [
                $key => ['type' => 'string'],
                $value => $field->of === Field::NUMBERS ? ['type' => 'array', 'items' => $number] : $number,
            ],
            'required' => [$key, $value],
            'additionalProperties' => false,
        ];
    }

    /** @return array<string, mixed> reference to the definition of a class, which is added where it is missing */
    public function reference(string $class): array
    {
        if (isset($this->elsewhere[$class])) {
            return ['$ref' => $this->elsewhere[$class]];
        }
        if (!class_exists($class)) {
            throw new LogicException("“{$class}” is no record.");
        }
        // A view that shares its word with a class of the core differs by its name in PHP only.
        $name = lcfirst(preg_replace('/View$/', '', (new ReflectionClass($class))->getShortName()) ?? '');
        $this->classes[$name] ??= $class;
        if ($this->classes[$name] !== $class) {
            throw new LogicException("“{$name}” is {$class} and {$this->classes[$name]}.");
        }
        if (!isset($this->definitions[$name])) {
            // Kept first, so that a record may refer to itself.
            $this->definitions[$name] = [];
            $this->definitions[$name] = is_subclass_of($class, Codec::class) ? $class::schema() : $this->object($class);
        }

        return ['$ref' => "#/\$defs/{$name}"];
    }

    /**
     * Texts of the docblocks: of the class under "", of the constructor's parameters by name.
     *
     * @param  class-string  $class
     * @return array<string, string>
     */
    private static function comments(string $class): array
    {
        $reflection = new ReflectionClass($class);
        $comments = [];
        $lines = self::lines((string) $reflection->getDocComment());
        $comments[''] = trim(
            implode(' ', array_filter($lines, static fn(string $l): bool => !str_starts_with($l, '@'))),
        );
        $name = null;
        foreach (self::lines((string) $reflection->getConstructor()?->getDocComment()) as $line) {
            if (preg_match('/^@param\s+.*?\$(\w+)\s*(.*)$/', $line, $found) === 1) {
                $name = $found[1];
                $comments[$name] = trim($found[2]);
            } elseif ($name !== null && !str_starts_with($line, '@')) {
                $comments[$name] = trim("{$comments[$name]} {$line}");
            }
        }

        return $comments;
    }

    /** @return list<string> */
    private static function lines(string $comment): array
    {
        $inner = preg_replace('~^/\*\*|\*/$~', '', $comment) ?? '';

        return array_values(
            array_filter(
                array_map(static fn(string $line): string => ltrim(trim($line), '* '), explode("\n", $inner)),
                static fn(string $line): bool => $line !== '',
            ),
        );
    }
}
