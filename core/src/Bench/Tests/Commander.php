<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Tests;

use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/**
 * Means to command a run during its test. An unjoined controller only lights: enough for volts, not for colours (common practice, no source).
 */
enum Commander: string
{
    case Nothing = 'nothing';
    case Itself = 'itself';
    case Remote = 'remote';
    case Hub = 'hub';
    case Phone = 'phone';
    case Own = 'own';
    case Board = 'board';
    case Before = 'before';

    /** Default for a run. */
    public static function for(Plan $plan, Run $run): self
    {
        $controller = $plan->controller($run->controller);

        return match (true) {
            $plan->strip($run->strip)?->pixels !== null => self::Board,
            $controller === null => self::Nothing,
            $controller->repeats => self::Before,
            $controller->family === 'zigbee' => self::Remote,
            $controller->family === 'rf' => self::Own,
            default => self::Phone,
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::Nothing => 'no command: it lights when it has power',
            self::Itself => 'no command: unjoined, it lights at power-up',
            self::Remote => 'a bench remote, and a reset afterwards',
            self::Hub => 'a bench hub, and a reset afterwards',
            self::Phone => 'the client’s phone and account: its first join comes before this test',
            self::Own => 'its own remote',
            self::Board => 'the board’s own page, or its app on the client’s phone',
            self::Before => 'the controller that it repeats',
        };
    }

    /** Whether its bench control must be removed by a reset before the final join. */
    public function resetAfter(): bool
    {
        return $this === self::Remote || $this === self::Hub;
    }

    /** @return array<string, string> choices for a run with a joinable controller */
    public static function choices(): array
    {
        $choices = [];
        foreach ([self::Remote, self::Hub, self::Phone, self::Own, self::Board] as $one) {
            $choices[$one->value] = $one->words();
        }

        return $choices;
    }
}
