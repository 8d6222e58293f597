<?php

declare(strict_types=1);

namespace EmberDusk\Rates;

/** The table of times, and the labels of kinds of steps. All times: common practice, no source. */
final readonly class StepMinutes
{
    /**
     * Minutes: per metre laid out, of cable, of trim, made up, stuck, covered; per joint of one core; per setting, unit, set,
     * remote, panel, plug, bank, thing that moves, supply that
     * mains is laid to, fixture, end, section, leg, test, controller or hub that is reset and joined, place, visit.
     */
    public const MINUTES = [
        'ask' => 10.0,
        'isolate' => 10.0,
        'out' => 10.0,
        'trim' => 2.0,
        'back' => 3.0,
        'trace' => 5.0,
        'dry' => 2.0,
        'settings' => 3.0,
        'supply' => 20.0,
        'mains' => 15.0,
        'cables' => 5.0,
        'posts' => 10.0,
        'strain' => 10.0,
        'loose' => 10.0,
        'cut' => 3.0,
        'profile' => 6.0,
        'stick' => 4.0,
        'joints' => JointMinutes::SOLDERED,
        'second' => 10.0,
        'shake' => 5.0,
        'apart' => 5.0,
        'seal' => 5.0,
        'diffuser' => 1.0,
        'fixtures' => 20.0,
        'item' => 10.0,
        'join' => 10.0,
        'store' => 4.0,
        'tidy' => 10.0,
        'again' => 30.0,
    ];

    /** Label of a kind of step. */
    public const WORDS = [
        'ask' => 'asking the client',
        'isolate' => 'isolating',
        'out' => 'removing existing lights',
        'trim' => 'removing trim',
        'back' => 'refitting trim',
        'trace' => 'tracing legs',
        'dry' => 'trial fits',
        'settings' => 'settings on the bench',
        'supply' => 'supplies and controllers',
        'mains' => 'waiting while mains is laid',
        'cables' => 'laying cables',
        'posts' => 'leads on battery posts',
        'strain' => 'strain clamps',
        'loose' => 'loose tests',
        'cut' => 'cutting',
        'profile' => 'assembling profile',
        'stick' => 'cleaning and sticking',
        'joints' => 'joints',
        'second' => 'second tests',
        'shake' => 'shake tests',
        'apart' => 'removing a part to charge',
        'seal' => 'sealing',
        'diffuser' => 'diffusers',
        'fixtures' => 'fixtures',
        'item' => 'sets, remotes, panels, plugs',
        'join' => 'joining',
        'store' => 'storing states at power-on',
        'tidy' => 'tidying',
        'again' => 'the follow-up visit',
        'travel' => 'travel',
    ];
}
