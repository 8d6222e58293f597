<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Joining\RosterOfPlan;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Scene;
use EmberDusk\Plan\Show;

/** Names as typed into apps and spoken to assistants: their clashes, and alternatives. */
final readonly class Names
{
    /** Words that assistants keep for themselves. Common practice, no source. */
    private const KEPT = [
        'all',
        'everything',
        'everywhere',
        'light',
        'lights',
        'lamp',
        'lamps',
        'on',
        'off',
        'up',
        'down',
        'dim',
        'scene',
        'stop',
        'timer',
        'alarm',
        'music',
        'volume',
        'home',
        'house',
        'room',
    ];

    /** Words that tell two lights of one room apart and sound like none of the others. */
    private const APART = [
        'window',
        'corner',
        'shelf',
        'beam',
        'edge',
        'middle',
        'garden',
        'passage',
        'upper',
        'under',
    ];

    /** Words of a name that people still say as one. Common practice, no source. */
    private const MOST_WORDS = 3;

    /** Letters where no app says how many it takes. */
    private const LETTERS = 32;

    /** @var array<string, Sound> by light */
    private array $sounds;

    /** @var list<Sound> */
    private array $rooms;

    /** @var list<Sound> */
    private array $played;

    /**
     * @param  array<string, array{string, string}>  $lights  name and room, by id
     * @param  list<string>  $scenes  their names
     */
    public function __construct(private array $lights, private array $scenes = [], private int $letters = self::LETTERS)
    {
        $this->sounds = array_map(static fn(array $l): Sound => Sound::for($l[0]), $lights);
        $this->rooms = array_map(
            Sound::for(...),
            array_values(array_unique(array_map(static fn(array $l): string => $l[1], $lights))),
        );
        $this->played = array_map(Sound::for(...), $scenes);
    }

    public static function for(Plan $plan): self
    {
        $lights = [];
        foreach ($plan->lights as $id => $light) {
            $lights[$id] = [$light->name, $light->room];
        }
        // Segments are said only where their board has a name for voice control.
        foreach ($plan->segments as $id => $segment) {
            $board = $plan->lights[$plan->run($segment->run)->controller ?? ''] ?? null;
            if ($board !== null) {
                $lights[$id] = [$segment->name, $board->room];
            }
        }
        $letters = self::LETTERS;
        // Every app that lights are named in: the shortest decides, as a light has one name everywhere.
        foreach (RosterOfPlan::for($plan, new TimingMethod())->units as $unit) {
            $letters = min($letters, (int) ($unit->leaflet->figure('letters') ?? self::LETTERS));
        }

        $played = array_map(static fn(Scene|Show $s): string => $s->name, [...$plan->scenes, ...$plan->shows]);

        return new self($lights, array_values($played), $letters);
    }

    /** @return list<NameClash> */
    public function clashes(): array
    {
        $clashes = [];
        foreach ($this->lights as $id => [$name, $room]) {
            $clash = $this->alone((string) $id, $name, $room) ?? $this->besides((string) $id, $name);
            if ($clash !== null) {
                $clashes[] = $clash;
            }
        }

        return $clashes;
    }

    /** @return list<NameClash> rooms, scenes and shows that sound alike */
    public function groups(): array
    {
        $names = array_values(array_unique([...array_column($this->lights, 1), ...$this->scenes]));
        $clashes = [];
        foreach ($names as $n => $one) {
            foreach (array_slice($names, $n + 1) as $other) {
                if (trim($one) !== '' && trim($other) !== '' && Sound::same($one, $other)) {
                    $clashes[] = new NameClash(
                        '',
                        NameClash::ALIKE,
                        "The {$this->groupOf($one)} “{$one}” and the {$this->groupOf($other)} “{$other}” sound alike",
                        'An assistant takes one for the other. Rename one of them.',
                        '',
                    );
                }
            }
        }

        return $clashes;
    }

    /** Room or scene, by its name. */
    private function groupOf(string $name): string
    {
        return in_array($name, array_column($this->lights, 1), true) ? 'room' : 'scene';
    }

    private function alone(string $id, string $name, string $room): ?NameClash
    {
        $label = strtoupper($id);
        $letters = mb_strlen($name);
        if ($letters > $this->letters) {
            return $this->clash(
                $id,
                NameClash::LONG,
                "“{$this->short($name)}” is {$letters} letters long",
                "The app of {$label} takes {$this->letters}.",
                $this->fitted($name),
            );
        }
        if (in_array(mb_strtolower($name), self::KEPT, true)) {
            return $this->clash(
                $id,
                NameClash::KEPT,
                "“{$name}” is reserved by assistants",
                "Assistants will not take it for {$label}.",
                "{$room} {$name}",
            );
        }
        $says = $this->hard($name);
        if ($says !== null) {
            return $this->clash($id, NameClash::HARD, "“{$name}” is hard to say", $says, $this->plain($name, $room));
        }
        $rooms = array_unique(array_column($this->lights, 1));
        foreach ([...$rooms, ...$this->scenes] as $other) {
            if (Sound::same($name, $other)) {
                return $this->clash(
                    $id,
                    NameClash::TAKEN,
                    mb_strtolower($name) === mb_strtolower($other)
                        ? "“{$name}” is the name of a {$this->groupOf($other)} as well"
                        : "“{$name}” sounds like the {$this->groupOf($other)} “{$other}”",
                    'A voice command would mean both.',
                    "{$name} " . self::APART[0],
                );
            }
        }

        return null;
    }

    /** Why a name is hard to say; null where it is not. */
    private function hard(string $name): ?string
    {
        return match (true) {
            trim($name) === '' => 'It has no name.',
            preg_match('/\p{L}/u', $name) !== 1 => 'It has no letter.',
            preg_match('/[^\p{L}\p{N}\s\'’,.-]/u', $name) === 1 => 'It has characters that cannot be spoken.',
            preg_match('/\p{L}/u', (string) preg_replace('/\p{Latin}/u', '', $name)) === 1
                => 'The assistant may not read these letters.',
            preg_match('/[aeiouy]/i', (string) iconv('UTF-8', 'ASCII//TRANSLIT//IGNORE', $name)) !== 1
                => 'It has no vowel.',
            preg_match_all('/\p{N}/u', $name) > 2 => 'Its digits can be said in more than one way.',
            count((array) preg_split('/[\s,-]+/u', trim($name))) > self::MOST_WORDS => 'It has too many words.',
            default => null,
        };
    }

    /** Against the lights before it. */
    private function besides(string $id, string $name): ?NameClash
    {
        foreach ($this->lights as $other => [$taken]) {
            if ((string) $other === $id) {
                return null;
            }
            if (mb_strtolower($taken) === mb_strtolower($name)) {
                return $this->clash(
                    $id,
                    NameClash::TAKEN,
                    "“{$name}” is the name of " . strtoupper((string) $other) . ' as well',
                    'Two lights of one name cannot be told apart by voice.',
                    null,
                );
            }
            if ($this->sounds[$id]->like($this->sounds[$other])) {
                return $this->clash(
                    $id,
                    NameClash::ALIKE,
                    "“{$name}” and “{$taken}” sound alike",
                    'An assistant takes one for the other.',
                    null,
                );
            }
        }

        return null;
    }

    private function clash(string $id, string $code, string $title, string $detail, ?string $wish): NameClash
    {
        return new NameClash($id, $code, $title, $detail, $this->free($id, $wish));
    }

    /** The first name that fits, is easy to say and does not clash: the requested one, or the name with a distinguishing word. */
    private function free(string $id, ?string $wish): string
    {
        [$name, $room] = $this->lights[$id];
        $first = explode(' ', trim((string) preg_replace('/[^\p{L}\s]/u', '', $name)))[0];
        $bases = array_values(array_filter([$first, $room], static fn(string $b): bool => $b !== ''));
        $tries = array_filter([$wish, $this->fitted("{$room} {$name}")]);
        foreach ($bases as $base) {
            foreach (self::APART as $word) {
                $tries[] = $this->fitted("{$base} {$word}");
            }
        }
        foreach (self::APART as $n => $word) {
            $tries[] = ucfirst($word) . ' ' . self::APART[($n + 1) % count(self::APART)];
        }
        foreach ($tries as $try) {
            if ($this->fits($id, $try)) {
                return $try;
            }
        }

        return '';
    }

    private function fits(string $id, string $name): bool
    {
        if (
            $name === '' ||
            mb_strlen($name) > $this->letters ||
            in_array(mb_strtolower($name), self::KEPT, true) ||
            $this->hard($name) !== null
        ) {
            return false;
        }
        $sound = Sound::for($name);
        foreach ($this->sounds as $other => $taken) {
            if ((string) $other !== $id && $sound->like($taken)) {
                return false;
            }
        }

        return array_filter([...$this->rooms, ...$this->played], $sound->like(...)) === [];
    }

    /** Whole words, as many as fit. */
    private function fitted(string $name): string
    {
        $words = array_values(array_filter((array) preg_split('/\s+/u', trim($name))));
        $words = array_values(
            array_filter(
                $words,
                static fn(mixed $w): bool => !in_array(
                    mb_strtolower((string) $w),
                    ['the', 'of', 'and', 'a', 'in'],
                    true,
                ),
            ),
        );
        while (count($words) > self::MOST_WORDS || mb_strlen(implode(' ', $words)) > $this->letters) {
            array_pop($words);
        }

        return implode(' ', $words);
    }

    /** Spoken part only. */
    private function plain(string $name, string $room): string
    {
        $spoken = trim((string) preg_replace('/[^a-z\s]/i', '', $name));

        return $this->fitted($spoken === '' ? "{$room} " . self::APART[0] : $spoken);
    }

    private function short(string $name): string
    {
        if (mb_strlen($name) > 40) {
            return mb_substr($name, 0, 40) . '…';
        }

        return $name;
    }
}
