<?php

declare(strict_types=1);

// The solver beside the reference simulator: the same circuit, interleaved, the ratio's median. Plain PHP without JIT.

use EmberDusk\Circuit\Loads\ResistorLimited;
use EmberDusk\Circuit\Netlist;
use EmberDusk\Circuit\Network;
use EmberDusk\Circuit\Solver\Newton;
use EmberDusk\Circuit\SourceCurrent;
use EmberDusk\Circuit\Stretch;
use Tests\Measured;

require __DIR__ . '/../vendor/autoload.php';

/** Strip of 24 V with a feed every so many groups from one controller. */
$circuit = static function (int $groups, int $every, int $channels): Network {
    $net = new Network();
    $plus = $net->node('s_p', 24.0);
    $net->sources[] = new SourceCurrent(name: 's', plus: $plus, emf: 24.0, ohms: 0.0005, limit: 4000.0);
    $out = [$net->node('c_com', 24.0)];
    $net->resistor(name: 'c_com', part: 'c', from: $plus, to: $out[0], ohms: 0.0005);
    for ($c = 1; $c <= $channels; $c++) {
        $out[] = $net->node("c_{$c}", 0.0);
        $net->resistor(name: "c_{$c}", part: 'c', from: $out[$c], to: 0, ohms: 0.001);
    }
    $volts = $channels === 1 ? [2.95] : [2.05, 3.05, 3.05, 2.9];
    $loads = array_map(
        static fn(float $v): ResistorLimited => new ResistorLimited(
            volts: 24,
            nominal: 0.02,
            leds: 6,
            ledVolts: $v,
            slope: 0.05,
        ),
        $volts,
    );
    $before = null;
    for ($at = 0; $at <= $groups; $at += $every) {
        $pad = [$net->node("r_a{$at}_p", 24.0)];
        for ($c = 1; $c <= $channels; $c++) {
            $pad[] = $net->node("r_a{$at}_{$c}", 0.0);
        }
        foreach ($pad as $t => $node) {
            $net->resistor(name: "k{$at}_{$t}", part: 'k', from: $out[$t], to: $node, ohms: 0.05);
        }
        if ($before !== null) {
            $net->stretches[] = new Stretch(
                run: 'r',
                prefix: 'r',
                first: $at - $every,
                groups: $every,
                pitch: 0.05,
                plusRail: 0.02,
                returnRail: 0.045,
                loads: $loads,
                start: $before,
                end: $pad,
            );
        }
        $before = $pad;
    }

    return $net;
};
/** Milliseconds by ngspice's own count. */
$reference = static function (Network $net): float {
    $file = (string) tempnam(sys_get_temp_dir(), 'ember');
    file_put_contents(
        $file,
        str_replace(".op\n.end\n", ".control\nop\nrusage\n.endc\n.end\n", Netlist::write('bench', [$net])),
    );
    $said = (string) shell_exec('ngspice -b ' . escapeshellarg($file) . ' 2>/dev/null');
    unlink($file);
    if (preg_match('/Total analysis time \(seconds\) = (\S+)/', $said, $found) === 1) {
        return 1000 * (float) $found[1];
    }

    return NAN;
};
$median = Measured::median(...);
foreach (
    [
        ['(a) single colour, 6,000 groups, a feed every 100', 6000, 1, 'at least 10x'],
        ['(b) RGBW, the same', 6000, 4, 'at least 10x'],
        ['(c) single colour, 50,000 groups', 50_000, 1, 'at least 30x'],
    ]
    as [$what, $groups, $channels, $wanted]
) {
    $net = $circuit($groups, 100, $channels);
    Newton::solve($net);
    $ours = $ratios = [];
    $rounds = 0;
    for ($pair = 0; $pair < 5; $pair++) {
        $at = hrtime(true);
        $rounds = Newton::solve($net)->iterations;
        $ours[] = (hrtime(true) - $at) / 1e6;
        $ratios[] = $reference($net) / $ours[$pair];
    }
    printf(
        "%-50s %7.0f ms   %5.1fx as fast as ngspice, median of 5 interleaved pairs, %d iterations; %s\n",
        $what,
        $median($ours),
        $median($ratios),
        $rounds,
        $wanted,
    );
}
memory_reset_peak_usage();
$net = $circuit(50_000, 100, 4);
$at = hrtime(true);
$rounds = Newton::solve($net)->iterations;
$large = (hrtime(true) - $at) / 1e6;
printf(
    "%-50s %7.0f ms   %.0f MB, %d iterations; at most 4 s and 256 MB\n",
    '(d) RGBW, 50,000 groups',
    $large,
    memory_get_peak_usage() / 1e6,
    $rounds,
);
$at = hrtime(true);
$few = Newton::solve($circuit(5000, 100, 4))->iterations;
$small = (hrtime(true) - $at) / 1e6;
printf(
    "%-50s %7.1fx   at most 12x\n",
    'Time an iteration, 50,000 against 5,000',
    $large / ($rounds + 1) / ($small / ($few + 1)),
);
