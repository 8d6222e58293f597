<?php

declare(strict_types=1);

namespace EmberDusk\Control;

/** Meaning of a voice command. */
final readonly class CommandMeaning
{
    /**
     * @param  list<string>  $lights  that are meant
     * @param  float|null  $level  0 to 1
     * @param  string  $colour as text; empty without a colour
     * @param  int|null  $kelvin  white temperature
     * @param  string  $scene  id; empty: none
     * @param  string  $trouble  why nothing can be done, and what to say instead; empty where it was understood
     * @param  float|null  $step  share of full by which it gets brighter, negative: dimmer
     * @param  int|null  $warmer  kelvin by which its white changes, negative: warmer
     */
    public function __construct(
        public array $lights = [],
        public ?float $level = null,
        public string $colour = '',
        public ?int $kelvin = null,
        public string $scene = '',
        public string $trouble = '',
        public ?float $step = null,
        public ?int $warmer = null,
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

        return implode(', ', $names) . ': ' . implode(', ', $this->deeds()) . '.';
    }

    /** @return list<string> */
    private function deeds(): array
    {
        $deeds = [];
        if ($this->level !== null) {
            $deeds[] = match (true) {
                $this->level <= 0.0 => 'off',
                $this->level >= 1.0 => 'on',
                default => round(100 * $this->level, 1) . ' %',
            };
        }
        if ($this->step !== null) {
            $deeds[] = $this->step > 0 ? 'brighter' : 'dimmer';
        }
        if ($this->colour !== '') {
            $deeds[] = $this->colour;
        }
        if ($this->kelvin !== null) {
            $deeds[] = "{$this->kelvin} K";
        }
        if ($this->warmer !== null) {
            $deeds[] = $this->warmer < 0 ? 'warmer' : 'cooler';
        }

        return $deeds;
    }
}
