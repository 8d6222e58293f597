<?php

declare(strict_types=1);

namespace EmberDusk\Control;

/** What was understood of something that was said. */
final readonly class Heard
{
    /**
     * @param  list<string>  $lights  that are meant
     * @param  float|null  $level  0 to 1
     * @param  string  $colour  in words; empty: none was said
     * @param  int|null  $kelvin  white temperature
     * @param  string  $scene  id; empty: none
     * @param  string  $trouble  why nothing can be done, and what to say instead; empty where it was understood
     */
    public function __construct(
        public array $lights = [],
        public ?float $level = null,
        public string $colour = '',
        public ?int $kelvin = null,
        public string $scene = '',
        public string $trouble = '',
    ) {}

    /** As an assistant would say it back. */
    public function words(Vocabulary $vocabulary): string
    {
        if ($this->trouble !== '') {
            return $this->trouble;
        }
        if ($this->scene !== '') {
            return "Scene “{$vocabulary->scenes[$this->scene]}”.";
        }
        $names = array_map(static fn(string $l): string => $vocabulary->lights[$l], $this->lights);
        $does = array_filter([
            $this->level === null
                ? ''
                : match (true) {
                    $this->level <= 0.0 => 'off',
                    $this->level >= 1.0 => 'on',
                    default => round(100 * $this->level) . ' %',
                },
            $this->colour,
            $this->kelvin === null ? '' : "{$this->kelvin} K",
        ]);

        return implode(', ', $names) . ': ' . implode(', ', $does) . '.';
    }
}
