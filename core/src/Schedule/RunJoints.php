<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Rates\JointMinutes;

/** Joints of one core that are made at a run: at its own cables, between its sections and where its strip is joined. */
final readonly class RunJoints
{
    /** Making joints of a kind, in words. */
    private const WORDS = [
        'solder' => 'solder %d joints',
        'crimp' => 'crimp %d joints',
        'screw' => 'screw %d cores into terminals',
        'lever' => 'put %d cores into lever terminals',
        'plug' => 'plug %d joints together',
        'clip' => 'clip %d joints on',
    ];

    /** @param  list<string>  $kinds */
    private function __construct(public int $count, public float $minutes, private array $kinds) {}

    /**
     * @param  int  $inStrip  places at which the strip itself is joined
     * @param  array<string, LaidCable>  $cables  that are laid for this run first
     */
    public static function of(Plan $plan, Run $run, int $inStrip, array $cables): self
    {
        $cores = $plan->cores($run);
        $count = 2 * $cores * count($plan->cutMarks($run)->jumps ?? []) + $cores * $inStrip;
        $minutes = JointMinutes::SOLDERED * $count;
        $kinds = $count > 0 ? ['solder' => true] : [];
        foreach ($cables as $cable) {
            $connector = $plan->connector($cable->joint);
            $ends = 2 * (isset($plan->feeds[$cable->to]) ? $cores : 2);
            $count += $ends;
            $minutes += $ends * JointMinutes::of($connector);
            $kinds[$connector->joint ?? 'solder'] = true;
        }

        return new self($count, $minutes, array_keys($kinds));
    }

    public function soldered(): bool
    {
        return in_array('solder', $this->kinds, true);
    }

    public function words(): string
    {
        $words = count($this->kinds) === 1 ? self::WORDS[$this->kinds[0]] ?? null : null;

        return sprintf($words ?? 'make %d joints', $this->count);
    }
}
