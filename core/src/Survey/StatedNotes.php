<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

use EmberDusk\Values\InvalidInput;

/** Notes of an unmeasured place: a run with its stated length, and the available power. */
final readonly class StatedNotes
{
    /** Walls of a run whose ends meet, of equal length. */
    private const WALLS = 4;

    /**
     * @param  string  $run  its word
     * @param  string  $battery  its blocks, such as "6 of 8 V"; empty where there is mains
     *
     * @throws InvalidInput at /run, /length or /battery
     */
    public static function from(string $run, float $metres, bool $meets, string $battery): string
    {
        $lines = ['said', 'start'];
        if ($meets) {
            $wall = sprintf('%.3f', $metres / self::WALLS);
            $lines[] = "{$wall} {$run}";
            for ($n = 1; $n < self::WALLS; $n++) {
                $lines[] = "right {$wall} {$run}";
            }
            $lines[] = 'close';
        } else {
            $lines[] = sprintf('%.3f', $metres) . " {$run}";
        }
        foreach (TapeNotes::read(implode("\n", $lines))->slips as $slip) {
            throw InvalidInput::at($slip->column > 5 ? '/run' : '/length', $slip->message);
        }
        $lines[] = $battery === '' ? 'outlet P1' : "battery E1, {$battery}";
        foreach (TapeNotes::read(implode("\n", $lines))->slips as $slip) {
            throw InvalidInput::at('/battery', $slip->message);
        }

        return implode("\n", $lines) . "\n";
    }
}
