<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Site;

use EmberDusk\Survey\Clause;
use EmberDusk\Survey\SlipFound;
use EmberDusk\Survey\WallLengths;
use EmberDusk\Survey\Word;

/** Collects the notes besides the walls; each clause begins with its kind. */
final class SiteReader
{
    public const KEYWORDS = [
        'said',
        'floor',
        'high',
        'damp',
        'dry',
        'air',
        'bundle',
        'outlet',
        'spur',
        'box',
        'battery',
        'signal',
        'leg',
        'wifi',
        'hub',
        'run',
        ...Present::KINDS,
    ];

    /** @var list<Present> */
    private array $present = [];

    private bool $said = false;

    private ?int $floor = null;

    private ?float $height = null;

    private ?bool $damp = null;

    private ?float $air = null;

    private int $bundled = 1;

    /** @var list<Outlet> */
    private array $outlets = [];

    /** @var list<Box> */
    private array $boxes = [];

    /** @var list<Battery> */
    private array $batteries = [];

    /** @var list<SignalWire> */
    private array $signals = [];

    /** @var list<CableLeg> */
    private array $legs = [];

    /** @var list<Radio> */
    private array $radios = [];

    /** @var array<string, RunNote> */
    private array $runs = [];

    /** How the first of a kind without a name is called. */
    private const CALLED = ['outlet' => 'P', 'spur' => 'P', 'box' => 'B', 'battery' => 'U'];

    /** @var array<string, true> */
    private array $taken = [];

    /** @param  list<string>  $names  in use in any line, in small letters */
    public function __construct(private readonly array $names = []) {}

    /**
     * A clause whose first word is a keyword.
     *
     * @throws SlipFound
     */
    public function read(Clause $clause, WallLengths $lengths, Walls $walls): void
    {
        $keyword = $clause->take();
        $this->nameless($clause, mb_strtolower($keyword->text ?? ''));
        match (mb_strtolower($keyword->text ?? '')) {
            'said' => ($this->said = true),
            'floor' => ($this->floor = $this->floor($clause)),
            'high' => ($this->height = $lengths->take($clause, 'the height from floor to ceiling')->metres),
            'damp', 'dry' => ($this->damp = $keyword?->is('damp')),
            'air' => ($this->air = $this->air($clause)),
            'bundle' => ($this->bundled = $clause->count($clause->take(), 'the number of cables in a bundle', 50)),
            'outlet' => ($this->outlets[] = $this->named(Outlet::read($clause, $lengths, $walls, false), $clause)),
            'spur' => ($this->outlets[] = $this->named(Outlet::read($clause, $lengths, $walls, true), $clause)),
            'box' => ($this->boxes[] = $this->named(Box::read($clause, $lengths, $walls), $clause)),
            'battery' => ($this->batteries[] = $this->named(Battery::read($clause, $lengths, $walls), $clause)),
            'signal' => ($this->signals[] = $this->named(SignalWire::read($clause, $lengths, $walls), $clause)),
            'leg' => ($this->legs[] = $this->leg(CableLeg::read($clause, $lengths), $clause)),
            'wifi' => ($this->radios[] = Radio::read($clause, Radio::WIFI)),
            'hub' => ($this->radios[] = Radio::read($clause, Radio::HUB)),
            'now', 'trim', 'listed', 'spare', 'later' => ($this->present[] = Present::read(
                mb_strtolower($keyword->text ?? ''),
                $clause->first(),
                $clause,
                $lengths,
            )),
            default => $this->run(RunNote::read($clause, $lengths), $clause),
        };
        $clause->end('Nothing may follow this.');
    }

    /** @throws SlipFound at an item without a name, with a free one */
    private function nameless(Clause $clause, string $kind): void
    {
        $next = $clause->peek();
        if (!isset(self::CALLED[$kind]) || ($next !== null && $next->text !== ',' && !$next->is('at', 'on'))) {
            return;
        }
        for ($n = 1; in_array(mb_strtolower(self::CALLED[$kind]) . $n, $this->names, true); $n++);
        $free = self::CALLED[$kind] . $n;
        throw new SlipFound(
            $clause->slip(
                $next,
                "This {$kind} has no name yet. {$free} is free.",
                $next === null ? " {$free}" : ($next->text === ',' ? " {$free}," : "{$free} {$next->text}"),
            ),
        );
    }

    public function site(): Site
    {
        return new Site(
            floor: $this->floor,
            height: $this->height,
            damp: $this->damp,
            outlets: $this->outlets,
            boxes: $this->boxes,
            batteries: $this->batteries,
            legs: $this->legs,
            radios: $this->radios,
            runs: $this->runs,
            air: $this->air,
            present: $this->present,
            said: $this->said,
            bundled: $this->bundled,
            signals: $this->signals,
        );
    }

    private function air(Clause $clause): float
    {
        $word = $clause->take();
        if ($word === null || preg_match('/^-?\d{1,2}$/', $word->text) !== 1 || (int) $word->text > 70) {
            throw new SlipFound(
                $clause->slip($word, 'How warm the air gets is a whole number of °C up to 70, such as “air 45”.'),
            );
        }

        return (float) $word->text;
    }

    private function floor(Clause $clause): int
    {
        $word = $clause->take();
        if ($word === null || preg_match('/^-?\d{1,3}$/', $word->text) !== 1) {
            throw new SlipFound(
                $clause->slip($word, 'A floor is a whole number: 0 is the ground floor, -1 the cellar.'),
            );
        }

        return (int) $word->text;
    }

    /**
     * @template T of Outlet|Box|Battery|SignalWire
     *
     * @param  T  $item
     * @return T
     */
    private function named(Outlet|Box|Battery|SignalWire $item, Clause $clause): Outlet|Box|Battery|SignalWire
    {
        $this->once($item->spot->word, $clause);

        return $item;
    }

    private function leg(CableLeg $leg, Clause $clause): CableLeg
    {
        $this->once($leg->word, $clause);

        return $leg;
    }

    private function run(RunNote $note, Clause $clause): void
    {
        if (isset($this->runs[$note->run])) {
            throw new SlipFound(
                $clause->slip($note->word, "“{$note->run}” is described already. Put both lines into one."),
            );
        }
        $this->runs[$note->run] = $note;
    }

    private function once(Word $word, Clause $clause): void
    {
        $name = mb_strtolower($word->text);
        if (isset($this->taken[$name])) {
            throw new SlipFound(
                $clause->slip($word, "“{$word->text}” is already used in this place. Choose another name."),
            );
        }
        $this->taken[$name] = true;
    }
}
