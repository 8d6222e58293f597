<?php

declare(strict_types=1);

namespace EmberDusk\Rates;

/** Kinds of work: minutes by the table of times, words, and the line of the quote. All times: common practice, no source. */
enum Work: string
{
    case Ask = 'ask';
    case Isolate = 'isolate';
    case Out = 'out';
    case Trim = 'trim';
    case Back = 'back';
    case Trace = 'trace';
    case Dry = 'dry';
    case Settings = 'settings';
    case Supply = 'supply';
    case Mains = 'mains';
    case Cables = 'cables';
    case Posts = 'posts';
    case Strain = 'strain';
    case Loose = 'loose';
    case Cut = 'cut';
    case Profile = 'profile';
    case Stick = 'stick';
    case Joints = 'joints';
    case Second = 'second';
    case Shake = 'shake';
    case Apart = 'apart';
    case Seal = 'seal';
    case Diffuser = 'diffuser';
    case Fixtures = 'fixtures';
    case Item = 'item';
    case Join = 'join';
    case Store = 'store';
    case Tidy = 'tidy';
    case Again = 'again';
    case Travel = 'travel';

    /**
     * Minutes: per metre laid out, of cable, of trim, made up, stuck, covered; per joint of one core; per setting, unit, set,
     * remote, panel, plug, bank, thing that moves, supply that mains is laid to, fixture, end, section, leg, test, controller or
     * hub that is reset and joined, place, visit. Travel has its own time in the job's terms.
     */
    public function minutes(): float
    {
        return match ($this) {
            self::Diffuser => 1.0,
            self::Trim, self::Dry => 2.0,
            self::Back, self::Settings, self::Cut => 3.0,
            self::Stick, self::Store => 4.0,
            self::Trace, self::Cables, self::Shake, self::Apart, self::Seal => 5.0,
            self::Profile => 6.0,
            self::Ask,
            self::Isolate,
            self::Out,
            self::Posts,
            self::Strain,
            self::Loose,
            self::Second,
            self::Item,
            self::Join,
            self::Tidy
                => 10.0,
            self::Mains => 15.0,
            self::Supply, self::Fixtures => 20.0,
            self::Again => 30.0,
            self::Joints => JointMinutes::SOLDERED,
            self::Travel => 0.0,
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::Ask => 'asking the client',
            self::Isolate => 'isolating',
            self::Out => 'removing existing lights',
            self::Trim => 'removing trim',
            self::Back => 'refitting trim',
            self::Trace => 'tracing legs',
            self::Dry => 'trial fits',
            self::Settings => 'settings on the bench',
            self::Supply => 'supplies and controllers',
            self::Mains => 'waiting while mains is laid',
            self::Cables => 'laying cables',
            self::Posts => 'leads on battery posts',
            self::Strain => 'strain clamps',
            self::Loose => 'loose tests',
            self::Cut => 'cutting',
            self::Profile => 'assembling profile',
            self::Stick => 'cleaning and sticking',
            self::Joints => 'joints',
            self::Second => 'second tests',
            self::Shake => 'shake tests',
            self::Apart => 'removing a part to charge',
            self::Seal => 'sealing',
            self::Diffuser => 'diffusers',
            self::Fixtures => 'fixtures',
            self::Item => 'sets, remotes, panels, plugs',
            self::Join => 'joining',
            self::Store => 'storing states at power-on',
            self::Tidy => 'tidying',
            self::Again => 'the follow-up visit',
            self::Travel => 'travel',
        };
    }

    /** The line of the quote in which a client reads it. */
    public function group(): WorkGroup
    {
        return match ($this) {
            self::Ask, self::Isolate, self::Trace, self::Dry, self::Settings => WorkGroup::Preparation,
            self::Out, self::Trim, self::Back, self::Apart => WorkGroup::Removing,
            self::Supply, self::Mains, self::Cables, self::Posts, self::Strain => WorkGroup::Supplies,
            self::Cut,
            self::Profile,
            self::Stick,
            self::Joints,
            self::Seal,
            self::Diffuser,
            self::Fixtures,
            self::Item
                => WorkGroup::Strips,
            self::Loose, self::Second, self::Shake => WorkGroup::Tests,
            self::Join, self::Store => WorkGroup::Joining,
            self::Tidy, self::Again => WorkGroup::Tidying,
            self::Travel => WorkGroup::Travel,
        };
    }
}
