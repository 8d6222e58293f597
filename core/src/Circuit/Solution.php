<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Circuit\Solver\Ladder;
use EmberDusk\Circuit\Solver\Terminals;

/** The solved volts and amps of one island. */
final readonly class Solution
{
    /**
     * @param  array<int, float>  $volts  of the network's nodes
     * @param  list<Ladder>  $ladders  of its stretches, in their order
     * @param  int  $iterations  that it took
     */
    public function __construct(
        private Network $network,
        private array $volts,
        private array $ladders,
        public int $iterations,
    ) {}

    public function volt(int $node): float
    {
        return $this->volts[$node];
    }

    /** Amps through a resistor from its first node to its second. */
    public function amps(Resistor $r): float
    {
        return ($this->volts[$r->from] - $this->volts[$r->to]) / $r->ohms;
    }

    /** @return array{float, float} volts between fixtures' terminals and the amps that they take */
    public function at(FixtureGroup $point): array
    {
        $volts = $this->volts[$point->plus] - $this->volts[$point->minus];

        return [$volts, $point->load->at($volts)[0]];
    }

    /** Volts between a supply's terminals. */
    public function across(SourceCurrent $source): float
    {
        return $this->volts[$source->plus] - $this->volts[$source->minus];
    }

    public function delivered(SourceCurrent $source): float
    {
        return $source->at($this->across($source))[0];
    }

    /** @return non-empty-list<list<float>> volts across each group of a stretch, by channel */
    public function groupVolts(int $stretch): array
    {
        return $this->ladders[$stretch]->differences();
    }

    /** @return non-empty-list<list<float>> amps of each group of a stretch, by channel */
    public function groupAmps(int $stretch): array
    {
        return $this->ladders[$stretch]->amps();
    }

    /** @return array<string, float> volts of every node but 0, by name */
    public function nodes(): array
    {
        $nodes = [];
        foreach ($this->network->nodes as $n => $name) {
            if ($n > 0) {
                $nodes[$name] = $this->volts[$n];
            }
        }
        foreach (array_keys($this->ladders) as $stretch) {
            $nodes += $this->inside($stretch);
        }

        return $nodes;
    }

    /**
     * Watts turned to heat in the rails of some stretches.
     *
     * @param  list<int>  $stretches  numbers
     */
    public function railWatts(array $stretches): float
    {
        $watts = 0.0;
        foreach ($stretches as $n) {
            $ladder = $this->ladders[$n];
            // Current into the pads that the loads do not draw stays in the copper.
            foreach (Terminals::amps($ladder, $this->volts) as $node => $amps) {
                $watts += $this->volts[$node] * $amps;
            }
            $watts -= $this->loadWatts($n);
        }

        return $watts;
    }

    public function loadWatts(int $stretch): float
    {
        $watts = 0.0;
        $amps = $this->groupAmps($stretch);
        foreach ($this->groupVolts($stretch) as $c => $volts) {
            foreach ($volts as $n => $u) {
                $watts += $u * $amps[$c][$n];
            }
        }

        return $watts;
    }

    /** @return list<float> volts of the + rail at each group of a stretch */
    public function plus(int $stretch): array
    {
        $ladder = $this->ladders[$stretch];
        $s = $ladder->stretch;
        $weights = $s->weights();
        $from = $to = 0.0;
        foreach ($weights as $t => $w) {
            $from += $w * $this->volts[$s->start[$t]];
            $to += $w * $this->volts[$s->end[$t]];
        }
        $differences = $ladder->differences();
        $all = [];
        for ($g = 0; $g < $s->groups; $g++) {
            $plus = $from + (($to - $from) * ($g + 0.5)) / $s->groups;
            foreach ($differences as $c => $d) {
                $plus += $weights[$c + 1] * $d[$g];
            }
            $all[] = $plus;
        }

        return $all;
    }

    /** @return array<string, float> */
    private function inside(int $stretch): array
    {
        $s = $this->ladders[$stretch]->stretch;
        $differences = $this->ladders[$stretch]->differences();
        $nodes = [];
        foreach ($this->plus($stretch) as $g => $plus) {
            $nodes[$s->node($g, 0)] = $plus;
            foreach ($differences as $c => $d) {
                $nodes[$s->node($g, $c + 1)] = $plus - $d[$g];
            }
        }

        return $nodes;
    }
}
