<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/**
 * A computed number that a person sees, with the working behind it.
 *
 * Evaluating the formula with the inputs gives the value; the printed text is the value at its decimals.
 */
final readonly class Figure implements JsonWritable
{
    use Copies;

    /**
     * @param  string  $formula  an expression over the inputs' symbols: + - * / ( ) and nothing else
     * @param  list<Input>  $inputs
     */
    public function __construct(
        public string $label,
        public float $value,
        public string $unit,
        public int $decimals,
        public string $formula,
        public array $inputs,
        public string $assumption = '',
        public string $source = '',
        public ?Range $range = null,
    ) {}

    /** The same figure under another label. */
    public function named(string $label): self
    {
        return $this->withChanged(label: $label);
    }

    public function text(): string
    {
        return self::print($this->value, $this->decimals);
    }

    /** A value at so many decimals, without a negative zero. */
    public static function print(float $value, int $decimals): string
    {
        $text = number_format($value, $decimals, '.', '');
        if ((float) $text === 0.0) {
            return ltrim($text, '-');
        }

        return $text;
    }

    /** @return array<string, mixed> as in app/Screens/screen.json, $defs/figure */
    public function write(): array
    {
        $range = null;
        if ($this->range !== null) {
            $range = [
                self::print($this->range->low, $this->decimals),
                self::print($this->range->high, $this->decimals),
            ];
        }

        return [
            'label' => $this->label,
            'value' => $this->value,
            'text' => $this->text(),
            'unit' => $this->unit,
            'range' => $range,
            'formula' => $this->formula,
            'inputs' => array_map(
                static fn(Input $i): array => [
                    'symbol' => $i->symbol,
                    'meaning' => $i->meaning,
                    'text' => self::significant($i->value),
                    'unit' => $i->unit,
                    'path' => $i->path,
                ],
                $this->inputs,
            ),
            'assumption' => $this->assumption,
            'source' => $this->source,
        ];
    }

    /** Enough digits that the shown inputs give the shown value. */
    private static function significant(float $value): string
    {
        if ($value === 0.0) {
            return '0';
        }
        $decimals = max(0, 6 - (int) floor(log10(abs($value))));
        $text = number_format($value, $decimals, '.', '');
        if (str_contains($text, '.')) {
            return rtrim(rtrim($text, '0'), '.');
        }

        return $text;
    }
}
