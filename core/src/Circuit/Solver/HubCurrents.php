<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Solver;

use EmberDusk\Circuit\Network;

/** Amps out of every hub into its loads except strips: resistors, supplies, what draws the same always, fixtures. */
final readonly class HubCurrents
{
    /**
     * @param  array<int, float>  $volts  of the hubs
     * @param  float  $power  share of their power that fixtures take
     * @return array<int, float>
     */
    public static function for(Network $network, array $volts, float $power): array
    {
        $out = array_fill(0, count($volts), 0.0);
        foreach ($network->resistors as $r) {
            $amps = ($volts[$r->from] - $volts[$r->to]) / $r->ohms;
            $out[$r->from] += $amps;
            $out[$r->to] -= $amps;
        }
        foreach ($network->sources as $source) {
            $amps = $source->at($volts[$source->plus] - $volts[$source->minus])[0];
            $out[$source->plus] -= $amps;
            $out[$source->minus] += $amps;
        }
        foreach ($network->draws as $draw) {
            $out[$draw->plus] += $draw->amps;
            $out[$draw->minus] -= $draw->amps;
        }
        foreach ($network->points as $p) {
            $amps = $power * $p->load->at($volts[$p->plus] - $volts[$p->minus])[0];
            $out[$p->plus] += $amps;
            $out[$p->minus] -= $amps;
        }

        return $out;
    }
}
