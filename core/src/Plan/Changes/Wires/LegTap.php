<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

use EmberDusk\Plan\Run;

/** A leg that lies there already and is tapped pad after pad: its pieces between the taps. Metres. */
final class LegTap
{
    private float $before;

    public function __construct(
        private readonly CableLayer $layer,
        private readonly string $kit,
        private string $from,
        float $lead,
        private ?string $fuse,
        private readonly string $laid = '',
    ) {
        $this->before = -$lead;
    }

    /** The splice at a pad; pads come in their order. */
    public function next(Run $run, int $pad): string
    {
        $metres = self::along($this->layer, $run, $pad);
        $splice = $this->layer->splice(sprintf('at %.2f m of %s', $metres, $run->name()));
        $this->layer->cable(
            kit: $this->kit,
            from: $this->from,
            to: $splice,
            length: round(max(0.01, $metres - $this->before), 4),
            fuse: $this->fuse,
            existing: true,
            laid: $this->laid,
        );
        [$this->from, $this->before, $this->fuse] = [$splice, $metres, null];

        return $splice;
    }

    /** Metres from the run's start to a pad with the leads between the sections. */
    private static function along(CableLayer $layer, Run $run, int $pad): float
    {
        $marks = $layer->plan->cutMarks($run);
        $along = $marks?->position($pad) ?? 0.0;
        foreach ($marks->groups ?? [] as $section => $groups) {
            if ($pad <= $groups) {
                break;
            }
            $pad -= $groups + 1;
            $along += $marks->jumps[$section] ?? 0.0;
        }

        return $along;
    }
}
