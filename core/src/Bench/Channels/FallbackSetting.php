<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Channels;

/**
 * Behaviour of a controller with its switch set to another strip type: it uses its fallback light type (common practice, no source). Outputs from 0.
 */
final readonly class FallbackSetting
{
    /** Outputs by kind. */
    public const OUTPUTS = ['single' => 1, 'tunable' => 2, 'rgb' => 3, 'rgbw' => 4, 'rgbcct' => 5];

    /** Colours and whites of each type: a white is commanded as a white, regardless of its number. */
    private const COLOURED = ['single' => 0, 'tunable' => 0, 'rgb' => 3, 'rgbw' => 3, 'rgbcct' => 3];

    /**
     * @param  list<string>  $modes  that the controller has
     * @return list<string> settings other than the strip's own
     */
    public static function others(string $kind, array $modes): array
    {
        return array_values(
            array_filter(
                array_keys(self::OUTPUTS),
                static fn(string $m): bool => $m !== $kind && in_array($m, $modes, true),
            ),
        );
    }

    /** @return list<int> outputs that it drives when the strip's colour of that number is commanded alone */
    public static function drives(string $setting, string $kind, int $commanded): array
    {
        $coloured = self::COLOURED[$kind];
        $white = $commanded >= $coloured ? $commanded - $coloured : null;

        return match (true) {
            // Single channel: all outputs together, for every command.
            $setting === 'single' => range(0, 4),
            // A white light takes a colour for “on”: both of its whites.
            $setting === 'tunable' => $kind === 'rgbcct' && $white !== null ? [$white] : [0, 1],
            $white === null => [$commanded],
            // White is mixed where there is no white output.
            $setting === 'rgb' => [0, 1, 2],
            $setting === 'rgbw' => [3],
            default => [3 + $white],
        };
    }
}
