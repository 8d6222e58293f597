<?php

declare(strict_types=1);

namespace EmberDusk\Formats;

use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;
use JsonException;
use stdClass;

/** JSON text in and out: size and depth limits, the line of a slip, one canonical writing. */
final readonly class Json
{
    /** Bytes of the largest document read. */
    public const LARGEST = 2_000_000;

    private const DEEPEST = 32;

    /** How packed files begin. */
    private const PACKED = [
        "PK\x03\x04" => 'zip',
        "\x1F\x8B" => 'gzip',
        "7z\xBC\xAF" => '7z',
        "\x28\xB5\x2F\xFD" => 'zstd',
    ];

    /** @throws Refusal when it is too large, too deep, not JSON or not an object */
    public static function object(string $text, int $largest = self::LARGEST): stdClass
    {
        if (strlen($text) > $largest) {
            throw new InvalidInput(
                sprintf(
                    'The file has %.1f MB; at most %d MB are read.',
                    strlen($text) / 1e6,
                    intdiv($largest, 1_000_000),
                ),
            );
        }
        $text = Utf8::bare($text);
        foreach (self::PACKED as $begins => $what) {
            if (str_starts_with($text, $begins)) {
                throw new InvalidInput("The file is packed ({$what}). Unpack it first, then take what is in it.");
            }
        }
        try {
            $value = json_decode($text, false, self::DEEPEST, JSON_THROW_ON_ERROR);
        } catch (JsonException $e) {
            throw new InvalidInput(
                $e->getCode() === JSON_ERROR_DEPTH
                    ? sprintf('The file is nested deeper than %d levels; a job file never is.', self::DEEPEST)
                    : 'The file is not JSON: ' . self::place($text, $e),
            );
        }
        if (!($value instanceof stdClass)) {
            throw new InvalidInput('The file is JSON, but not an object: it should begin with {.');
        }

        self::finite($value, '');

        return $value;
    }

    /** A number such as 1e999 arrives as infinite and would be none any more when it is written. */
    private static function finite(mixed $value, string $pointer): void
    {
        if (is_float($value) && !is_finite($value)) {
            throw InvalidInput::at($pointer, 'The number is too large to be one.');
        }
        if (is_array($value) || $value instanceof stdClass) {
            foreach ((array) $value as $key => $inner) {
                if (!is_string($inner)) {
                    self::finite($inner, "{$pointer}/{$key}");
                }
            }
        }
    }

    /** Keys in the order given, two spaces, unescaped: what people can read and compare. */
    public static function pretty(mixed $value): string
    {
        $text = json_encode(
            $value,
            JSON_THROW_ON_ERROR |
                JSON_PRETTY_PRINT |
                JSON_UNESCAPED_SLASHES |
                JSON_UNESCAPED_UNICODE |
                JSON_PRESERVE_ZERO_FRACTION,
        );

        return $text . "\n";
    }

    public static function compact(mixed $value): string
    {
        return json_encode(
            $value,
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION,
        );
    }

    /** The line of the first thing that is no JSON token; otherwise the file ends early or its tokens are out of order. */
    private static function place(string $text, JsonException $e): string
    {
        if ($e->getCode() === JSON_ERROR_UTF8) {
            return 'it is not UTF-8 text.';
        }
        $at = 0;
        $token =
            '/\G(?:\s+|[{}\[\],:]|"(?:[^"\\\\\x00-\x1f]|\\\\.)*+"|-?\d+(?:\.\d+)?(?:[eE][+-]?\d+)?(?![\w.])|(?:true|false|null)\b)/A';
        while ($at < strlen($text) && preg_match($token, $text, $found, 0, $at) === 1) {
            $at += strlen($found[0]);
        }
        $line = substr_count(substr($text, 0, $at), "\n") + 1;
        if ($at >= strlen($text)) {
            return "brackets, commas or colons are out of order, or it ends too early, on line {$line}.";
        }
        $word = mb_substr(trim((string) strtok(substr($text, $at, 40), "\n")), 0, 20);

        return "line {$line} has “{$word}”, where a value, a name in double quotes or a bracket was expected.";
    }
}
