<?php

declare(strict_types=1);

namespace EmberDusk\Formats;

use EmberDusk\Values\InvalidInput;

/** Typed reading of a decoded JSON object; errors carry the JSON Pointer. */
final readonly class Fields
{
    /** @param  array<array-key, mixed>  $values */
    public function __construct(private array $values, public string $pointer = '') {}

    /**
     * With these as defaults.
     *
     * @param  array<array-key, mixed>  $values
     */
    public function over(array $values): self
    {
        return new self([...$values, ...$this->values], $this->pointer);
    }

    public function string(string $key, int $longest = 20_000): string
    {
        $value = $this->values[$key] ?? null;
        if (!is_string($value) || !mb_check_encoding($value, 'UTF-8')) {
            throw $this->invalid($key, 'Text was expected.');
        }
        if (mb_strlen($value) > $longest) {
            throw $this->invalid($key, "The text is longer than {$longest} letters.");
        }

        return $value;
    }

    /**
     * @template T of string
     *
     * @param  non-empty-list<T>  $allowed
     * @return T
     */
    public function oneOf(string $key, array $allowed): string
    {
        $value = $this->string($key);
        foreach ($allowed as $one) {
            if ($one === $value) {
                return $one;
            }
        }

        throw $this->invalid($key, "“{$value}” is not one of " . implode(', ', $allowed) . '.');
    }

    public function numberOrNull(string $key, float $least = -1e12, float $most = 1e12): ?float
    {
        if (!$this->has($key)) {
            return null;
        }

        return $this->number($key, $least, $most);
    }

    public function stringOrNull(string $key, int $longest = 20_000): ?string
    {
        if (!$this->has($key)) {
            return null;
        }

        return $this->string($key, $longest);
    }

    public function wholeOrNull(string $key, int $least, int $most): ?int
    {
        if (!$this->has($key)) {
            return null;
        }

        return $this->whole($key, $least, $most);
    }

    /**
     * The object of that key, if present.
     *
     * @template T
     *
     * @param  callable(self): T  $read
     * @return T|null
     */
    public function maybe(string $key, callable $read): mixed
    {
        if (!$this->has($key)) {
            return null;
        }

        return $read($this->object($key));
    }

    /** A finite number inside the bounds. */
    public function number(string $key, float $least = -1e12, float $most = 1e12): float
    {
        $value = $this->values[$key] ?? null;
        if ((!is_int($value) && !is_float($value)) || !is_finite((float) $value)) {
            throw $this->invalid($key, 'A number was expected.');
        }
        if ($value < $least || $value > $most) {
            throw $this->invalid($key, "{$value} is outside {$this->plain($least)} to {$this->plain($most)}.");
        }

        return (float) $value;
    }

    public function numberOr(string $key, float $default, float $least = -1e12, float $most = 1e12): float
    {
        if (!$this->has($key)) {
            return $default;
        }

        return $this->number($key, $least, $most);
    }

    public function whole(string $key, int $least, int $most): int
    {
        $number = $this->number($key, $least, $most);
        if ($number !== floor($number)) {
            throw $this->invalid($key, 'A whole number was expected.');
        }

        return (int) $number;
    }

    public function flagOrNull(string $key): ?bool
    {
        return $this->has($key) ? $this->flag($key) : null;
    }

    public function flag(string $key): bool
    {
        $value = $this->values[$key] ?? null;
        if (!is_bool($value)) {
            throw $this->invalid($key, 'true or false was expected.');
        }

        return $value;
    }

    public function has(string $key): bool
    {
        return ($this->values[$key] ?? null) !== null;
    }

    public function object(string $key): self
    {
        $value = $this->values[$key] ?? null;
        if (!is_array($value)) {
            throw $this->invalid($key, 'An object was expected.');
        }

        return new self($value, "{$this->pointer}/{$key}");
    }

    /** @return list<self> */
    public function objects(string $key): array
    {
        $list = [];
        foreach ($this->items($key) as $n => $item) {
            $list[] = is_array($item)
                ? new self($item, "{$this->pointer}/{$key}/{$n}")
                : throw $this->invalid("{$key}/{$n}", 'An object was expected.');
        }

        return $list;
    }

    /** @return list<mixed> */
    public function list(string $key): array
    {
        return $this->items($key);
    }

    /** @return list<float> */
    public function numbers(string $key, float $least, float $most): array
    {
        $list = new self($this->items($key), "{$this->pointer}/{$key}");

        return array_map(
            static fn(int $n): float => $list->number((string) $n, $least, $most),
            array_keys(array_values($list->values)),
        );
    }

    /** @return list<string> */
    public function strings(string $key): array
    {
        $list = new self($this->items($key), "{$this->pointer}/{$key}");

        return array_map(
            static fn(int $n): string => $list->string((string) $n),
            array_keys(array_values($list->values)),
        );
    }

    /**
     * @param  list<string>  $default
     * @return list<string>
     */
    public function stringsOr(string $key, array $default): array
    {
        if (!$this->has($key)) {
            return $default;
        }

        return $this->strings($key);
    }

    /** @return array<array-key, mixed> */
    public function all(): array
    {
        return $this->values;
    }

    /** With the value that was given there, where there is one. */
    public function invalid(string $key, string $message): InvalidInput
    {
        return InvalidInput::at("{$this->pointer}/{$key}", $message, $this->values[$key] ?? null);
    }

    /** @return list<mixed> */
    private function items(string $key): array
    {
        $value = $this->values[$key] ?? null;
        if (!is_array($value) || !array_is_list($value)) {
            throw $this->invalid($key, 'A list was expected.');
        }

        return $value;
    }

    private function plain(float $value): string
    {
        return rtrim(rtrim(number_format($value, 6, '.', ''), '0'), '.');
    }
}
