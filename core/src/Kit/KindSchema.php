<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Json;

/** The JSON Schema of shelf files, made from the kinds of kit; bin/schemas writes it to core/schema/shelf.json. */
final readonly class KindSchema
{
    private const TYPES = [
        'number' => ['type' => 'number'],
        'whole' => ['type' => 'integer'],
        'flag' => ['type' => 'boolean'],
        'text' => ['type' => 'string'],
        'gesture' => ['type' => 'string'],
        'signal' => ['type' => 'array', 'items' => ['type' => 'number']],
        'numbers' => ['type' => 'array', 'items' => ['type' => 'number']],
        'channels' => ['type' => 'array', 'items' => ['$ref' => '#/$defs/channel']],
    ];

    public static function text(): string
    {
        $string = ['type' => 'string'];
        $defs = [
            'channel' => self::object(
                [
                    'name' => $string,
                    'wattsPerMetre' => ['type' => 'number'],
                    'colour' => $string,
                    'ledVolts' => ['type' => 'number'],
                ],
                ['name', 'wattsPerMetre', 'colour'],
            ),
        ];
        $kinds = Kinds::all();
        $defs['entry'] = [
            'oneOf' => array_map(static fn(string $kind): array => ['$ref' => '#/$defs/' . $kind], array_keys($kinds)),
        ];
        foreach ($kinds as $kind) {
            $defs[$kind->kind] = self::kind($kind);
        }

        return Json::pretty([
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            '$id' => 'https://ember-dusk.invalid/schema/shelf.json',
            'title' => 'ShelfFile',
            'description' =>
                'A kit shelf: entries by kind. Made by bin/schemas from core/data/kinds.json, which has the units and bounds.',
            ...self::object(
                [
                    'format' => ['const' => Shelf::FORMAT],
                    'version' => ['const' => 1],
                    'entries' => ['type' => 'array', 'items' => ['$ref' => '#/$defs/entry']],
                ],
                ['format', 'version', 'entries'],
            ),
            '$defs' => $defs,
        ]);
    }

    /** @return array<string, mixed> */
    private static function kind(Kind $kind): array
    {
        $properties = [
            'kind' => ['const' => $kind->kind],
            'id' => ['type' => 'string'],
            'name' => ['type' => 'string'],
        ];
        $required = ['kind', 'id', 'name'];
        $inside = [];
        foreach ($kind->fields as $key => $field) {
            $type = match ($field->type) {
                'choice' => ['enum' => $field->choices],
                'choices' => ['type' => 'array', 'items' => ['enum' => $field->choices]],
                default => self::TYPES[$field->type],
            };
            $parts = explode('.', $key);
            if (count($parts) === 1) {
                $properties[$key] = $type;
                if ($field->required) {
                    $required[] = $key;
                }
            } else {
                $inside[$parts[0]][$parts[1]] = $type;
                $properties[$parts[0]] = self::object($inside[$parts[0]], []);
                if ($field->required && !in_array($parts[0], $required, true)) {
                    $required[] = $parts[0];
                }
            }
        }

        return self::object($properties, $required);
    }

    /**
     * @param  array<string, mixed>  $properties
     * @param  list<string>  $required
     * @return array<string, mixed>
     */
    private static function object(array $properties, array $required): array
    {
        return [
            'type' => 'object',
            'properties' => $properties,
            'required' => $required,
            'additionalProperties' => false,
        ];
    }
}
