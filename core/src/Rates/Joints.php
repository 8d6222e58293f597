<?php

declare(strict_types=1);

namespace EmberDusk\Rates;

use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\DataLead;
use EmberDusk\Plan\Run;

/**
 * Joints per core, each counted once: a core at each end of a cable, a splice as one per core, both ends of a fuse, a core at both ends of a lead
 * between sections, a core where the strip itself is joined.
 */
final readonly class Joints
{
    /** A fuse sits in one core and has two ends. */
    public const FUSED = 2;

    /** So does an in-line switch. */
    public const SWITCHED = 2;

    private const ENDS = 2;

    public function __construct(private Plan $plan) {}

    /** @return array<string, CableJoints> by cable; what meets at a splice counts with the cable that leads to it */
    public function atCables(): array
    {
        $at = [];
        foreach ($this->plan->splices as $id => $splice) {
            $at[$id] = $this->atSplice($id);
        }
        $joints = [];
        foreach ($this->plan->cables as $id => $cable) {
            $cores = $this->cores($cable);
            $terminals = 0;
            // A connector that was chosen for the cable is at both its ends.
            foreach ($cable->joint === null ? [$cable->from, $cable->to] : [] as $end) {
                $terminals += $this->plan->ways()->terminals($end) && !$this->atBattery($end) ? $cores : 0;
            }
            $all =
                ($at[$cable->to] ?? $cores) +
                (isset($at[$cable->from]) || $this->atBattery($cable->from) ? 0 : $cores) +
                ($cable->fuse === null ? 0 : self::FUSED) +
                ($cable->switch === null ? 0 : self::SWITCHED);
            $joints[$id] = new CableJoints($all - $terminals, $terminals);
        }

        return $joints;
    }

    /** Whether a cable begins at a battery. Its leads are fitted in a separate step, so they are not counted here. */
    private function atBattery(string $end): bool
    {
        return $this->plan->block($end) !== null;
    }

    /** Cores of a cable that are joined: two to a controller or fixtures, as many as the strip asks for and the cable has to a feed. */
    public function cores(LaidCable $cable): int
    {
        $feed = $this->plan->feeds[$this->end($cable)] ?? null;
        if ($feed === null) {
            return 2;
        }

        return self::joined(
            $this->plan->of($this->plan->run($feed->run))->cores(),
            $this->plan->cable($cable->kit)->cores ?? PHP_INT_MAX,
        );
    }

    /** Cores that are joined where a strip asks for some and a cable has others: pixels fed again need no data there. */
    public static function joined(int $strip, int $cable): int
    {
        return max(2, min($strip, $cable));
    }

    /** Of a feed's own cable or a lead between sections: both its ends. */
    public static function ofTail(int $cores): int
    {
        return self::ENDS * $cores;
    }

    /**
     * Of a run itself.
     *
     * @param  int  $inStrip  places at which the strip is joined
     */
    public function ofRun(Run $run, int $inStrip): int
    {
        return self::ofTail($this->plan->of($run)->cores()) * count($this->plan->of($run)->cutMarks()->jumps ?? []) +
            $this->ofSeams($run, $inStrip);
    }

    /** Of a lead for data that is not in a run's cable: each core at the strip, and at the terminals of the board or the strip before it. */
    public function ofData(?DataLead $lead): CableJoints
    {
        $wires = $lead?->wires($this->plan) ?? 0;

        return $lead?->from === null ? new CableJoints($wires, $wires) : new CableJoints(self::ENDS * $wires, 0);
    }

    /** Joints between strip ends of a run. */
    public function ofSeams(Run $run, int $places): int
    {
        return $this->plan->of($run)->cores() * $places;
    }

    private function atSplice(string $splice): int
    {
        $cores = 0;
        foreach ($this->plan->cables as $cable) {
            if ($cable->from === $splice || $cable->to === $splice) {
                $cores = max($cores, $this->cores($cable));
            }
        }

        return $cores;
    }

    /** Final target of a cable, through splices. */
    private function end(LaidCable $cable): string
    {
        $end = $cable->to;
        for ($n = 0; isset($this->plan->splices[$end]) && $n <= count($this->plan->splices); $n++) {
            foreach ($this->plan->cables as $next) {
                if ($next->from === $end) {
                    $end = $next->to;
                    break;
                }
            }
        }

        return $end;
    }
}
