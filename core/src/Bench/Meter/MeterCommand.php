<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Meter;

use EmberDusk\Circuit\Conditions;
use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\Phase;
use EmberDusk\Circuit\Phases;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\InvalidInput;

/** Commands while the meter is in place: all at full, all off, one colour alone, or full with one feed disconnected. */
final readonly class MeterCommand
{
    public const FULL = 'full';

    public const DARK = 'dark';

    /**
     * @param  int|null  $colour  number from 1 of the channel that is on alone
     * @param  string|null  $lifted  feed that is off
     */
    private function __construct(public string $key, private ?int $colour = null, public ?string $lifted = null) {}

    public static function full(): self
    {
        return new self(self::FULL);
    }

    /** @throws InvalidInput when it is none */
    public static function read(string $key): self
    {
        return match (true) {
            $key === self::FULL, $key === self::DARK => new self($key),
            preg_match('/^colour:([1-6])$/', $key, $m) === 1 => new self($key, (int) $m[1]),
            preg_match('/^lifted:([a-z0-9-]{1,40})$/', $key, $m) === 1 => new self($key, null, $m[1]),
            default => throw new InvalidInput(
                "“{$key}” is not a command. Use full, dark, colour:1 to colour:6, or lifted: and a feed.",
                '/command',
            ),
        };
    }

    public function words(): string
    {
        return match (true) {
            $this->lifted !== null => 'at full, ' . strtoupper($this->lifted) . ' lifted',
            $this->colour !== null => "colour {$this->colour} alone",
            $this->key === self::DARK => 'everything off',
            default => 'at full',
        };
    }

    /** @return non-empty-list<Phase> */
    public function phases(Plan $plan, Island $island): array
    {
        if ($this->key === self::FULL || $this->lifted !== null) {
            return Phases::for($plan, $island, null);
        }
        $on = [];
        foreach ($island->parts as $parts) {
            if ($parts->controller !== null && $parts->controller->pixels === null) {
                $on[(string) $parts->run->controller] = array_map(
                    fn(int $n): bool => $n === $this->colour,
                    range(1, count($parts->strip->channels)),
                );
            }
        }

        return [new Phase(1, 1.0, $on)];
    }

    public function conditions(Conditions $conditions): Conditions
    {
        if ($this->lifted === null) {
            return $conditions;
        }

        return new Conditions($conditions->rail, $conditions->supply, $this->lifted);
    }
}
