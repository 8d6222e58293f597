<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Survey\Number;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;

/**
 * An entry as cells of text, one per field, for forms and columns. Lists are separated by spaces, channels by | with name:W/m:colour[:volts of one
 * LED]; yes and no for flags; an empty cell is a missing field.
 */
final readonly class EntryCells
{
    public const HEAD = ['kind', 'id', 'name'];

    /**
     * @param  array<array-key, mixed>  $entry  as written
     * @return array<string, string> by column
     */
    public static function from(array $entry): array
    {
        $f = new Fields($entry);
        $cells = ['kind' => $f->string('kind'), 'id' => $f->string('id'), 'name' => $f->string('name')];
        foreach (Kinds::get($cells['kind'])->fields ?? [] as $key => $field) {
            $cells[$key] = self::cell($field, $f);
        }

        return $cells;
    }

    /**
     * The entry that cells describe, checked.
     *
     * @param  array<string, string>  $cells
     * @return array<string, mixed> as written
     *
     * @throws Refusal with the column as its pointer
     */
    public static function read(array $cells): array
    {
        $cells = array_filter(array_map(trim(...), $cells), static fn(string $c): bool => $c !== '');
        $kind =
            Kinds::get($cells['kind'] ?? '') ??
            throw InvalidInput::at(
                '/kind',
                '“' . ($cells['kind'] ?? '') . '” is not one of ' . implode(', ', array_keys(Kinds::all())) . '.',
            );
        $entry = ['kind' => $kind->kind, 'id' => $cells['id'] ?? '', 'name' => $cells['name'] ?? ''];
        foreach (array_diff_key($cells, array_flip(self::HEAD)) as $key => $cell) {
            $field =
                $kind->fields[$key] ??
                throw InvalidInput::at("/{$key}", "{$kind->name} has no such field. Leave the cell empty.");
            self::put($entry, (string) $key, self::value($field, $cell));
        }
        foreach ($kind->fields as $key => $field) {
            if ($field->required && !isset($cells[$key])) {
                throw InvalidInput::at("/{$key}", 'It is missing.');
            }
        }
        try {
            Shelf::check($entry);
        } catch (Refusal $t) {
            throw InvalidInput::at('/' . strtr(ltrim($t->pointer, '/'), '/', '.'), $t->getMessage());
        }

        return $entry;
    }

    private static function cell(KindField $field, Fields $entry): string
    {
        [$in, $key] = $field->inside($entry);
        if ($in === null || !$in->has($key)) {
            return '';
        }

        return match ($field->type) {
            'number', 'whole' => self::number($in->number($key)),
            'flag' => $in->flag($key) ? 'yes' : 'no',
            'choices' => implode(' ', $in->strings($key)),
            'numbers', 'signal' => implode(' ', array_map(self::number(...), $in->numbers($key, -1e12, 1e12))),
            'channels' => implode(
                ' | ',
                array_map(
                    static fn(Fields $c): string => $c->string('name') .
                        ':' .
                        self::number($c->number('wattsPerMetre')) .
                        ':' .
                        $c->string('colour') .
                        ($c->has('ledVolts') ? ':' . self::number($c->number('ledVolts')) : ''),
                    $in->objects($key),
                ),
            ),
            default => $in->string($key),
        };
    }

    private static function value(KindField $field, string $cell): mixed
    {
        $no = static fn(string $expected): Refusal => InvalidInput::at(
            "/{$field->key}",
            "“{$cell}” is not a {$expected}.",
        );

        return match ($field->type) {
            'number' => self::decimal($cell) ?? throw $no('number'),
            'whole' => preg_match('/^\d+$/', $cell) === 1 ? (int) $cell : throw $no('whole number'),
            'flag' => ['yes' => true, 'no' => false][mb_strtolower($cell)] ?? throw $no('yes-or-no value'),
            'choices' => self::words($cell),
            'numbers', 'signal' => array_map(
                static fn(string $w): float => self::decimal($w) ?? throw $no('list of numbers'),
                self::words($cell),
            ),
            'channels' => array_map(
                static fn(string $c): array => self::channel(trim($c)) ??
                    throw $no('list of channels, such as warm white:4.8:#ffb46b | cool white:4.8:#dfe9ff'),
                explode('|', $cell),
            ),
            default => $cell,
        };
    }

    /** @return array{name: string, wattsPerMetre: float, colour: string, ledVolts?: float}|null */
    private static function channel(string $text): ?array
    {
        $parts = array_map(trim(...), explode(':', $text));
        $watts = self::decimal($parts[1] ?? '');

        $ledVolts = self::decimal($parts[3] ?? '');
        if (!in_array(count($parts), [3, 4], true) || $watts === null || (count($parts) === 4 && $ledVolts === null)) {
            return null;
        }

        return ['name' => $parts[0], 'wattsPerMetre' => $watts, 'colour' => $parts[2]] +
            ($ledVolts === null ? [] : ['ledVolts' => $ledVolts]);
    }

    /** @return list<string> */
    private static function words(string $cell): array
    {
        return array_values(array_filter(explode(' ', $cell), static fn(string $w): bool => $w !== ''));
    }

    private static function decimal(string $cell): ?float
    {
        $number = Number::read(ltrim($cell, '-'));
        if ($number === null || substr_count($cell, '-') > 1) {
            return null;
        }
        if (str_starts_with($cell, '-')) {
            return -$number;
        }

        return $number;
    }

    private static function number(float $value): string
    {
        if (str_contains($text = (string) json_encode($value), 'e')) {
            return rtrim(rtrim(number_format($value, 12, '.', ''), '0'), '.');
        }

        return $text;
    }

    /**
     * @param  array<string, mixed>  $entry
     *
     * @param-out  array<string, mixed>  $entry
     */
    private static function put(array &$entry, string $key, mixed $value): void
    {
        $parts = explode('.', $key);
        if (count($parts) === 1) {
            $entry[$key] = $value;

            return;
        }
        $inside = is_array($entry[$parts[0]] ?? null) ? $entry[$parts[0]] : [];
        $entry[$parts[0]] = [...$inside, $parts[1] => $value];
    }
}
