<?php

declare(strict_types=1);

namespace EmberDusk\Formats;

use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;
use stdClass;

/** Validates a document against one of the schemas in core/schema and reports the place and the expected value. */
final class Schema
{
    private const BASE = 'https://ember-dusk.invalid/';

    private static ?Validator $validator = null;

    /**
     * @param  string  $name  file name in core/schema, or in a directory that was registered, without .json; with a #/$defs/… part when wanted
     *
     * @throws Refusal at the JSON Pointer of the first slip
     */
    public static function check(stdClass $document, string $name): void
    {
        if (!str_contains(strtok($name, '#') ?: '', '/')) {
            $name = "schema/{$name}";
        }
        $result = self::validator()->validate(
            $document,
            self::BASE . str_replace('#', '.json#', $name) . (str_contains($name, '#') ? '' : '.json'),
        );
        $error = $result->error();
        if ($error !== null) {
            throw self::invalid(self::deepest($error));
        }
    }

    /** Schemas of another directory, by NAME/file from then on. */
    public static function register(string $name, string $directory): void
    {
        self::validator()
            ->resolver()
            ?->registerPrefix(self::BASE . $name . '/', $directory);
    }

    private static function validator(): Validator
    {
        if (self::$validator === null) {
            self::$validator = new Validator();
            self::$validator->resolver()?->registerPrefix(self::BASE . 'schema/', dirname(__DIR__, 2) . '/schema');
        }

        return self::$validator;
    }

    /** Of several branches of a oneOf, the one that got furthest is the intended one. */
    private static function deepest(ValidationError $error): ValidationError
    {
        $best = $error;
        $depth = -1;
        foreach ($error->subErrors() as $sub) {
            if (!($sub instanceof ValidationError)) {
                continue;
            }
            $leaf = self::deepest($sub);
            // A const tag that differs only says that another branch was meant.
            $rank = count($leaf->data()->fullPath()) - ($leaf->keyword() === 'const' ? 100 : 0);
            if ($rank > $depth) {
                [$best, $depth] = [$leaf, $rank];
            }
        }

        return $best;
    }

    private static function invalid(ValidationError $error): InvalidInput
    {
        $path =
            '/' .
            implode(
                '/',
                array_map(
                    static fn(int|string $p): string => strtr((string) $p, ['~' => '~0', '/' => '~1']),
                    $error->data()->fullPath(),
                ),
            );
        $args = $error->args();
        $value = static fn(string $key): string => is_scalar($args[$key] ?? null)
            ? (string) $args[$key]
            : implode(', ', array_filter((array) ($args[$key] ?? []), is_scalar(...)));
        $message = match ($error->keyword()) {
            'required' => "“{$value('missing')}” is missing.",
            'additionalProperties' => "“{$value('properties')}” is not a field here.",
            'type' => "{$value('expected')} was expected, {$value('type')} was found.",
            'const', 'enum' => 'The value is not one of those allowed here.',
            default => 'The value does not fit: ' . $error->message() . '.',
        };

        return InvalidInput::at($path === '/' ? '' : $path, $message);
    }
}
