<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

use EmberDusk\Plan\Changes\Job\ChangeGroup;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;

/** Findings grouped for the screen: one line per cause with its places, and one common fix if it is the same. */
final readonly class GroupedFindings
{
    /** Common title of several findings of one code. */
    private const MANY = [
        'slip' => '%d lines of notes are not understood',
        'run-lost' => '%d runs are no longer in the notes',
        'said' => 'Lengths of %d places are not measured',
        'no-notes' => '%d places are not measured yet',
        'damp' => 'Are %d places dry or damp?',
        'mounting' => 'How are %d runs mounted?',
        'damp-run' => '%d runs are bare where it is damp',
        'untraced' => 'In %d places legs are not traced',
        'no-power' => 'Where is power in %d places?',
        'lacking' => '%d runs lack kit',
        'name' => '%d names can be confused',
        'app-room' => '%d apps and remotes have too few rooms or presets',
        'app-lacks' => '%d apps lack planned functions',
        'show-flash' => '%d shows flash too fast',
        'show-endless' => '%d shows never end',
        'show-empty' => '%d shows show nothing',
        'trigger-fight' => '%d pairs of triggers conflict',
        'trigger-kit' => '%d triggers cannot start here',
        'trigger-sun' => '%d triggers fail on some days because of the sun',
        'power-on' => 'Power-on behaviour of %d lights is not set',
        'unjoinable' => '%d units cannot be joined yet',
        'cores' => '%d cables have too few cores',
        'channels' => '%d controllers have too few channels',
        'supply-volts' => '%d runs have a supply of the wrong volts',
        'now-open' => '%d existing lights: remove or keep?',
        'listed' => 'The client’s hub knows %d units here already',
        'spare' => '%d runs fit on existing units',
        'later' => '%d places have too little reserve for later',
        'item-on' => '%d items belong to nothing',
        'item-speaks' => '%d items cannot control any light here',
        'panel-mains' => '%d panels need mains',
        'plug-amps' => '%d plugs are overloaded',
        'plug-pins' => '%d plugs have too few pins',
        'plug-open' => '%d plugs are open where it is damp',
        'set-short' => '%d sets are too short',
        'input-volts' => '%d loads get too many or too few volts',
        'fuse-volts' => '%d fuses are not rated for these volts',
        'supply-air' => '%d supplies are in air that is too warm',
        'dimming-frequency' => '%d controllers dim too slowly',
        'terminal' => '%d units have too small terminals',
        'strip-width' => '%d strips are too wide for their profile',
        'relay-amps' => '%d relays are overloaded',
        'no-rating' => 'Limits of %d units are not entered',
        'no-board' => '%d pixel runs have no board',
        'pixels-output' => '%d runs have more pixels than an output supports',
        'pixel-rate' => '%d runs have too many pixels on one data line',
        'pixel-cores' => '%d cables have no core for data',
        'board-fuse' => '%d boards have no fuse',
        'bank-amps' => '%d banks are overloaded',
        'cells-series' => '%d rows of lithium cells have no protection board',
        'leg-mains' => '%d legs that feed strips are connected to mains',
        'inrush' => 'On %d circuits the inrush is too high',
        'open-damp' => '%d units in damp places are not splash-proof',
        'cable-outdoors' => '%d indoor cables are outdoors',
        'cable-moving' => '%d rigid cables are on something that moves',
        'module-kind' => '%d fixtures have a module of another kind',
        'analog-sinks' => '%d modules send current into their control line',
        'fork-ways' => '%d forks have too few ends',
        'plug-gender' => 'In %d cables the halves of a plug do not fit',
        'switch-side' => '%d controllers switch the wrong side',
        'trial' => '%d boards are trial boards',
        'no-bank' => '%d converters are not connected to a bank',
        'converter-input' => '%d converters do not take their bank’s volts',
        'converter-least' => '%d converters run below their minimum load',
        'reading' => '%d readings are outside the expected band',
        'reading-asked' => '%d readings look like typing errors',
        'reading-against' => '%d places were read twice with different results',
        'reading-gone' => '%d readings are at places no longer in the plan',
        'colours' => '%d runs show wrong colours',
        'pixel-count' => '%d runs of pixels do not light to their end',
        'bench-remote' => '%d controllers were commanded by a bench remote: reset them first',
        'bank-tapped' => '%d banks are tapped at some of their blocks',
        'bank-other' => '%d banks are of other blocks than were surveyed',
        'bank-mixed' => '%d banks have blocks of different volts in a row',
        'cell-dim' => '%d runs are dim on a cell',
        'switch-amps' => '%d switches are too small',
        'switch-volts' => '%d switches are not made for these volts',
        'controller-kind' => '%d runs of pixels have a controller that switches channels',
        'input-range' => '%d controllers are not rated for their supply’s volts',
        'controller-amps' => '%d controllers are overloaded',
        'headroom' => '%d supplies have too little headroom',
        'cap' => '%d limits to set and check',
        'unsolved' => '%d circuits have no solution',
        'evenness' => '%d runs are uneven',
        'seam' => '%d runs differ where their ends meet',
        'seam-runs' => 'In %d places runs differ where they meet',
        'colour-shift' => '%d runs change colour along their length',
        'drop' => 'Voltage drop too high for %d runs',
        'cable-amps' => '%d cables are overloaded',
        'cable-protection' => '%d cables are not protected',
        'fuse-large' => '%d cables have too large a fuse',
        'fuse-small' => '%d fuses blow in use',
        'tap-fuse' => '%d cables leave a battery without a fuse',
        'laying' => 'How are %d cables laid?',
        'joint-amps' => '%d joints are overloaded',
        'rail-amps' => '%d runs exceed their rail rating',
        'setting' => '%d controllers to set',
        'unsealed' => '%d open strips in wet places',
        'hot-bare' => '%d strong strips without metal behind them',
        'reckoned' => '%d cables are not measured yet',
        'lamp-loose' => 'Fixtures of %d kinds have no supply',
        'not-joined' => '%d controllers are not joined yet',
        'part-late' => '%d parts are overdue',
        'currency' => '%d prices are in another currency',
        'no-price' => '%d entries have no price',
        'unit-nowhere' => 'Positions of %d units are not known',
        'stands-lost' => '%d units stand at places that were deleted',
        'mains-reach' => '%d supplies have no mains',
        'box-full' => '%d boxes are too full',
        'unused' => '%d owned entries or spares are not used',
        'scene-evenness' => '%d runs are uneven in a scene',
        'scene-limit' => '%d runs are dimmed by a limit in a scene',
        'too-long' => '%d pieces are longer than the stock sold',
        'profile-heat' => '%d runs give off more heat than their profile is rated for',
    ];

    /** Label of the common fix, if the first fix of each is of one kind. */
    private const ALL = [
        'reckoned' => 'Use all calculated lengths',
        'cap' => 'All set and checked',
        'setting' => 'All set as shown',
        'cable-amps' => 'Fix all',
        'cable-protection' => 'Fix all',
        'fuse-large' => 'Fix all',
        'fuse-small' => 'Fix all',
        'tap-fuse' => 'Fuse all',
    ];

    /**
     * @param  list<Finding>  $findings  worst first
     * @return list<SlateLine> worst first
     */
    public static function from(array $findings): array
    {
        $alike = [];
        foreach ($findings as $n => $finding) {
            $alike["{$finding->severity->rank()} {$finding->code} {$finding->place->stage->value}"][$n] = $finding;
        }

        return array_values(array_map(self::line(...), $alike));
    }

    /** @param  non-empty-array<int, Finding>  $alike */
    private static function line(array $alike): SlateLine
    {
        $first = $alike[array_key_first($alike)];
        $count = count($alike);
        $many = self::MANY[$first->code] ?? null;

        return new SlateLine(
            severity: $first->severity,
            stage: $first->place->stage,
            title: match (true) {
                $count === 1 => $first->title,
                $many === null => "{$first->title}, and " . ($count - 1) . ' more like it',
                default => sprintf($many, $count),
            },
            at: array_keys($alike),
            fix: $count === 1 ? null : self::forAll($first->code, array_values($alike)),
        );
    }

    /** @param  list<Finding>  $alike */
    private static function forAll(string $code, array $alike): ?Fix
    {
        $label = self::ALL[$code] ?? null;
        if ($label === null || count($alike) > ChangeGroup::MOST) {
            return null;
        }
        $changes = [];
        foreach ($alike as $finding) {
            if ($finding->fixes === []) {
                return null;
            }
            $changes[] = $finding->fixes[0]->change;
        }

        return new Fix($label, ChangeGroup::payload(sprintf('%s: %d', $label, count($alike)), $changes));
    }
}
