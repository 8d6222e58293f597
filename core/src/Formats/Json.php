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

    /** Control characters but tabs and ends of lines: no text that people type has them. */
    private const CONTROL = '/[\x00-\x08\x0b\x0c\x0e-\x1f\x7f]/';

    /**
     * An object that this program wrote itself: control characters that an earlier version let through are left out.
     *
     * @throws Refusal when it is too large, too deep, not JSON or not an object
     */
    public static function own(string $text): stdClass
    {
        $value = self::decoded($text, self::LARGEST);
        self::clean($value);

        return $value;
    }

    /** @throws Refusal when it is too large, too deep, not JSON or not an object, or has numbers or letters that no file has */
    public static function object(string $text, int $largest = self::LARGEST): stdClass
    {
        $value = self::decoded($text, $largest);
        self::plain($value, '');

        return $value;
    }

    /** Text without control characters. */
    public static function bare(string $text): string
    {
        return (string) preg_replace(self::CONTROL, '', $text);
    }

    private static function clean(mixed $value): void
    {
        foreach ((array) $value as $key => $inner) {
            if (is_array($inner) || $inner instanceof stdClass) {
                self::clean($inner);
            } elseif (is_string($inner) && $value instanceof stdClass && preg_match(self::CONTROL, $inner) === 1) {
                $value->{$key} = self::bare($inner);
            }
        }
    }

    private static function decoded(string $text, int $largest): stdClass
    {
        if (strlen($text) > $largest) {
            throw new InvalidInput(
                sprintf(
                    'The file has %.1f MB; at most %d MB are accepted.',
                    strlen($text) / 1e6,
                    intdiv($largest, 1_000_000),
                ),
            );
        }
        $text = Utf8::bare($text);
        foreach (self::PACKED as $begins => $what) {
            if (str_starts_with($text, $begins)) {
                throw new InvalidInput("The file is packed ({$what}). Unpack it first.");
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
            throw new InvalidInput('The file is JSON, but not an object: it should start with {.');
        }

        return $value;
    }

    /** A number such as 1e999 arrives as infinite and would be none any more when it is written. */
    private static function plain(mixed $value, string $pointer): void
    {
        if (is_float($value) && !is_finite($value)) {
            throw InvalidInput::at($pointer, 'The number is too large to be one.');
        }
        if (is_string($value) && preg_match(self::CONTROL, $value) === 1) {
            throw InvalidInput::at($pointer, 'The text has control characters in it. Remove them, then import again.');
        }
        if (is_array($value) || $value instanceof stdClass) {
            foreach ((array) $value as $key => $inner) {
                self::plain($inner, "{$pointer}/{$key}");
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
