<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

use EmberDusk\Plan\Changes\Job\Together;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;

/** Findings as lines: what has one cause is one line with its places, and one fix for all where it is the same. */
final readonly class Slate
{
    /** What several findings of a code are called together. */
    private const MANY = [
        'slip' => '%d lines of notes cannot be read',
        'run-lost' => '%d runs are no longer in the notes',
        'said' => 'Lengths of %d places are as somebody said them',
        'no-notes' => '%d places are not measured yet',
        'damp' => 'Are %d places dry or damp?',
        'mounting' => 'How are %d runs mounted?',
        'damp-run' => '%d runs are bare where it is damp',
        'untraced' => 'In %d places legs are not traced',
        'no-power' => 'Where is power in %d places?',
        'lacking' => '%d runs lack kit',
        'name' => '%d names will be mistaken',
        'app-room' => '%d apps and remotes have no room for all that is wanted',
        'app-lacks' => '%d apps cannot do all that is asked of them',
        'show-flash' => '%d shows flash too fast',
        'show-endless' => '%d shows never end',
        'show-empty' => '%d shows show nothing',
        'trigger-fight' => '%d pairs of things that start something fight',
        'trigger-kit' => '%d things are to start something, and nothing of the job can',
        'trigger-sun' => 'The sun lets %d things down on some days',
        'power-on' => 'What do %d lights do when their power returns?',
        'unjoinable' => '%d things cannot be joined as they stand',
        'cores' => '%d cables have too few cores',
        'channels' => '%d controllers have too few channels',
        'supply-volts' => '%d runs have a supply of other volts',
        'now-open' => 'Of %d lots of lights it is not said whether they stay',
        'listed' => 'The client’s hub knows %d units here already',
        'spare' => '%d runs would fit on what is there',
        'later' => '%d places have too little left for later',
        'item-on' => '%d pieces go with nothing',
        'item-speaks' => '%d pieces reach nothing here',
        'panel-mains' => '%d panels need mains',
        'plug-amps' => '%d plugs carry too much',
        'plug-pins' => '%d plugs have too few pins',
        'plug-open' => '%d plugs are open where it is damp',
        'set-short' => '%d sets are too short',
        'input-volts' => '%d loads get too many or too few volts',
        'fuse-volts' => '%d fuses are not rated for these volts',
        'supply-air' => '%d supplies stand in air that is too warm',
        'dimming-frequency' => '%d controllers dim too slowly',
        'terminal' => '%d units have too small terminals',
        'strip-width' => '%d strips are too wide for their profile',
        'relay-amps' => '%d relays carry too much',
        'no-rating' => 'Limits of %d units are not entered',
        'no-board' => '%d runs of pixels have no board',
        'pixels-output' => '%d runs have more pixels than an output carries',
        'pixel-rate' => '%d runs have too many pixels on one data line',
        'pixel-cores' => '%d cables have no core for data',
        'board-fuse' => '%d boards have no fuse',
        'bank-amps' => '%d banks give too much',
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
        'trial' => '%d boards are for trying only',
        'no-bank' => '%d converters hang on no bank yet',
        'converter-input' => '%d converters do not take their bank’s volts',
        'converter-least' => '%d converters give less than they need to',
        'reading' => '%d readings are outside what good wiring gives',
        'reading-asked' => '%d readings look as if they were written down wrong',
        'reading-against' => '%d places were read twice, and differently',
        'reading-gone' => '%d readings are at places that are not planned any more',
        'colours' => 'Colours come out wrong at %d runs',
        'pixel-count' => '%d runs of pixels do not light to their end',
        'bench-remote' => '%d controllers were commanded by a bench remote: reset them first',
        'bank-tapped' => '%d banks are tapped at some of their blocks',
        'bank-other' => '%d banks are of other blocks than were surveyed',
        'bank-mixed' => '%d banks have blocks of different volts in a row',
        'cell-dim' => '%d runs are dim on a cell',
        'switch-amps' => '%d switches are too small',
        'switch-volts' => '%d switches are not made for these volts',
        'controller-kind' => '%d runs of pixels have a controller that switches channels',
        'input-range' => '%d controllers do not take their supply’s volts',
        'controller-amps' => '%d controllers carry more than they may',
        'headroom' => '%d supplies have too little to spare',
        'cap' => '%d limits are to be set and checked',
        'unsolved' => '%d circuits have no solution',
        'evenness' => '%d runs are not as even as they should be',
        'seam' => '%d runs differ where their ends meet',
        'seam-runs' => 'In %d places runs differ where they meet',
        'colour-shift' => '%d runs change their colour along the way',
        'drop' => 'Too much is lost before %d runs',
        'cable-amps' => '%d cables carry more than they may',
        'cable-protection' => '%d cables are not protected',
        'fuse-large' => '%d cables have too large a fuse',
        'fuse-small' => '%d fuses blow in use',
        'tap-fuse' => '%d cables leave a battery without a fuse',
        'laying' => 'How are %d cables laid?',
        'joint-amps' => '%d joints carry more than they may',
        'rail-amps' => '%d runs take more into one end than their rails carry',
        'setting' => '%d controllers are to be set',
        'unsealed' => '%d open strips lie where water comes to them',
        'hot-bare' => '%d strong strips lie bare',
        'reckoned' => '%d cables are not measured yet',
        'lamp-loose' => 'Fixtures of %d kinds hang on nothing',
        'not-joined' => '%d controllers are not joined yet',
        'part-late' => '%d parts should be here',
        'currency' => '%d prices are in another currency',
        'no-price' => '%d entries have no price',
        'stands-lost' => '%d units stand where nothing is any more',
        'mains-reach' => '%d supplies have no mains',
        'box-full' => '%d boxes are too full',
        'unused' => '%d entries are owned or to spare, and nothing uses them',
        'scene-evenness' => '%d runs are uneven in a scene',
        'too-long' => '%d pieces are longer than what is sold',
        'profile-heat' => '%d runs make more heat than their profile takes',
    ];

    /** What one press does to all of them, where the first fix of each is of one kind. */
    private const ALL = [
        'reckoned' => 'Keep all lengths',
        'cap' => 'All are set and checked',
        'setting' => 'All are set so',
        'cable-amps' => 'Mend all',
        'cable-protection' => 'Mend all',
        'fuse-large' => 'Mend all',
        'fuse-small' => 'Mend all',
        'tap-fuse' => 'Fuse all',
    ];

    /** @param  list<int>  $at  which of the findings it tells */
    private function __construct(public Finding $first, public string $title, public array $at, public ?Fix $fix) {}

    /**
     * @param  list<Finding>  $findings  worst first
     * @return list<self> worst first
     */
    public static function of(array $findings): array
    {
        $alike = [];
        foreach ($findings as $n => $finding) {
            $alike["{$finding->severity->rank()} {$finding->code} {$finding->place->stage}"][$n] = $finding;
        }

        return array_values(array_map(self::line(...), $alike));
    }

    /** @return array<string, mixed> as in app/Screens/screen.json, $defs/slateLine */
    public function toArray(): array
    {
        $fix = $this->fix !== null ? ['label' => $this->fix->label, 'change' => $this->fix->change->toArray()] : null;

        return [
            'severity' => $this->first->severity->value,
            'stage' => $this->first->place->stage,
            'title' => $this->title,
            'at' => $this->at,
            'fix' => $fix,
        ];
    }

    /** @param  non-empty-array<int, Finding>  $alike */
    private static function line(array $alike): self
    {
        $first = $alike[array_key_first($alike)];
        $count = count($alike);
        if ($count === 1) {
            return new self($first, $first->title, array_keys($alike), null);
        }
        $many = self::MANY[$first->code] ?? null;

        return new self(
            $first,
            $many === null ? "{$first->title}, and " . ($count - 1) . ' more like it' : sprintf($many, $count),
            array_keys($alike),
            self::forAll($first->code, array_values($alike)),
        );
    }

    /** @param  list<Finding>  $alike */
    private static function forAll(string $code, array $alike): ?Fix
    {
        $label = self::ALL[$code] ?? null;
        if ($label === null || count($alike) > Together::MOST) {
            return null;
        }
        $changes = [];
        foreach ($alike as $finding) {
            if ($finding->fixes === []) {
                return null;
            }
            $changes[] = $finding->fixes[0]->change;
        }

        return new Fix($label, Together::payload(sprintf('%s: %d', $label, count($alike)), $changes));
    }
}
