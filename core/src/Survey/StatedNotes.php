<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

use EmberDusk\Survey\Site\PixelMatrix;
use EmberDusk\Values\InvalidInput;

/** Notes of an unmeasured place: a run with its stated length, and the available power. */
final readonly class StatedNotes
{
    /** Walls of a run whose ends meet, of equal length. */
    private const WALLS = 4;

    /**
     * @param  string  $run  its word
     * @param  bool  $meets  whether its ends meet
     * @param  string  $battery  its blocks, such as "6 of 8 V"
     * @param  PixelMatrix|null  $matrix  of a light wall
     */
    public function __construct(
        private string $run,
        private float $metres,
        private StatedKind $kind = StatedKind::Shelf,
        private StatedPower $power = StatedPower::Outlet,
        private bool $meets = false,
        private string $battery = '',
        private ?PixelMatrix $matrix = null,
    ) {}

    /** @throws InvalidInput at /run, /length or /battery */
    public function text(): string
    {
        $lines = ['said', 'start', ...$this->walls()];
        foreach (WallNotes::read(implode("\n", $lines))->slips as $slip) {
            throw InvalidInput::at($slip->column > 5 ? '/run' : '/length', $slip->message);
        }
        $lines[] = match ($this->power) {
            StatedPower::Outlet => 'outlet P1',
            StatedPower::Mains => 'spur P1',
            StatedPower::Battery => "battery E1, {$this->battery}" .
                ($this->kind === StatedKind::Vehicle ? ', fitted' : ''),
            StatedPower::Key => "battery E1, {$this->battery}, fitted, key",
        };
        foreach (WallNotes::read(implode("\n", $lines))->slips as $slip) {
            throw InvalidInput::at('/battery', $slip->message);
        }
        $said = array_filter([
            $this->kind === StatedKind::Vehicle ? 'moving' : null,
            $this->kind === StatedKind::Matrix ? $this->matrix?->note() : null,
        ]);
        if ($said !== []) {
            $lines[] = "run {$this->run}, " . implode(', ', $said);
        }

        return implode("\n", $lines) . "\n";
    }

    /** @return list<string> */
    private function walls(): array
    {
        if (!$this->meets) {
            return [sprintf('%.3f', $this->metres) . " {$this->run}"];
        }
        $wall = sprintf('%.3f', $this->metres / self::WALLS);

        return ["{$wall} {$this->run}", ...array_fill(0, self::WALLS - 1, "right {$wall} {$this->run}"), 'close'];
    }
}
