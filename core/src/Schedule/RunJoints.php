<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Rates\CableJoints;
use EmberDusk\Rates\JointMinutes;

/** Joints that are made at a run or fixtures: at the cables laid for it first, between its sections and where its strip is joined. */
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

    /** @param  array<string, int>  $kinds  joints by their kind */
    private function __construct(public int $count, public float $minutes, private array $kinds) {}

    /**
     * @param  CableJoints  $own  joints of the run itself and of its data, as of Joints::ofRun and ofData
     * @param  array<string, LaidCable>  $cables  that are laid for it first
     * @param  array<string, CableJoints>  $at  joints by cable, as of Joints::atCables
     */
    public static function for(Plan $plan, CableJoints $own, array $cables, array $at): self
    {
        $kinds = ['solder' => $own->made, 'screw' => $own->terminals];
        $minutes = JointMinutes::SOLDERED * $own->made + JointMinutes::TERMINAL * $own->terminals;
        foreach ($cables as $cable) {
            $connector = $plan->connector($cable->joint);
            $joints = $at[$cable->id];
            $minutes += $joints->made * JointMinutes::for($connector) + $joints->terminals * JointMinutes::TERMINAL;
            $kind = $connector->joint ?? 'solder';
            $kinds[$kind] = ($kinds[$kind] ?? 0) + $joints->made;
            $kinds['screw'] += $joints->terminals;
        }

        return new self(array_sum($kinds), $minutes, array_filter($kinds));
    }

    /** Number of soldered joints for the table of times. */
    public function units(): float
    {
        return $this->minutes / JointMinutes::SOLDERED;
    }

    public function why(): string
    {
        if ($this->soldered()) {
            return 'Mark and tin the leads on both sides, join them, clean with alcohol.';
        }

        return 'Every core by its mark; pull to test.';
    }

    /** @return list<string> */
    public function tools(): array
    {
        if ($this->soldered()) {
            return ['iron at 300 to 350 °C', 'flux'];
        }

        return ['crimping or screw tool'];
    }

    public function caution(): string
    {
        if ($this->soldered()) {
            return 'Ventilate flux fumes. Keep the hot iron in a stand.';
        }

        return 'Switch off before you make a joint.';
    }

    private function soldered(): bool
    {
        return isset($this->kinds['solder']);
    }

    public function words(): string
    {
        $words = [];
        foreach ($this->kinds as $kind => $count) {
            $words[] = sprintf(self::WORDS[$kind] ?? 'make %d joints', $count);
        }

        return implode(', ', $words);
    }
}
