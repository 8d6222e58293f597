<?php

declare(strict_types=1);

namespace EmberDusk\Control;

/**
 * Understands what people say to an assistant: names of lights and rooms, everything, all but some; on, off, a percentage, a
 * colour, a white, brighter, warmer; a scene or a show. Every word must be understood, else the sentence is refused with the reason.
 */
final readonly class Speech
{
    private const MOST = 300;

    private const POLITE = '/\b(?:please|thank you|thanks|hey|okay|ok|could you|can you|would you|will you|i would like|id like|i want|let me have)\b/';

    /** Unsupported requests by their words; the first one found decides. */
    private const REFUSED = [
        'Say what the light should do, not what it should not do.' => ['not', 'never', 'dont', 'no', 'doesnt', 'wont'],
        'Conditions are not understood. Set it up at Scenes, under Automation.' => [
            'if',
            'unless',
            'when',
            'whenever',
            'while',
            'until',
            'once',
        ],
        'Delays are not understood. Say it at that moment, or set a time at Scenes, under Automation.' => [
            'second',
            'seconds',
            'minute',
            'minutes',
            'hour',
            'hours',
            'oclock',
            'am',
            'pm',
            'tomorrow',
            'tonight',
            'today',
            'later',
            'soon',
            'after',
            'before',
        ],
        'Say the level itself, such as “40 percent”, or “brighter” and “dimmer”.' => [
            'by',
            'minus',
            'plus',
            'more',
            'less',
        ],
    ];

    private const QUESTIONS = ['is', 'are', 'what', 'which', 'how', 'why', 'who', 'where', 'does'];

    /** @var array<string, true> words that ask for something, or only join others */
    private array $reserved;

    public function __construct(private Vocabulary $vocabulary)
    {
        $this->reserved = array_fill_keys(
            [...SpokenActions::reserved(), ...self::QUESTIONS, ...array_merge(...array_values(self::REFUSED))],
            true,
        );
    }

    public function hear(string $said): CommandMeaning
    {
        $text = trim((string) preg_replace('/\s+/', ' ', (string) preg_replace(self::POLITE, ' ', self::plain($said))));
        if ($text === '') {
            return new CommandMeaning(trouble: 'The command is empty. Try “Cove on”.');
        }
        $scene = $this->scene($text);
        if ($scene !== null) {
            return new CommandMeaning(scene: $scene);
        }
        $words = explode(' ', $text);
        $names = SpokenNames::in($words, $this->vocabulary, $this->reserved(...), self::plain(...));
        $trouble = self::refused($words, $names);
        if ($trouble !== null) {
            return new CommandMeaning(trouble: $trouble);
        }
        $deeds = SpokenActions::in($words, $names);
        $unknown = array_diff_key($words, $deeds->used, $names->taken);
        [$lights, $missing] = $this->targets($words, $names, $unknown);
        if ($missing !== null) {
            return new CommandMeaning(trouble: $missing);
        }
        $trouble = $deeds->contradiction() ?? ($deeds->none() ? $this->nothing($lights) : null);

        return $trouble === null ? $deeds->heard($lights) : new CommandMeaning(trouble: $trouble);
    }

    /** Small letters, one space between words, no signs but percent, a minus before a number and a decimal point. */
    private static function plain(string $said): string
    {
        $text = mb_strtolower(mb_substr(mb_scrub($said), 0, self::MOST));
        $text = (string) preg_replace('/[\'’‘]/u', '', $text);
        $text = (string) preg_replace('/(?<![\p{L}\p{N}])[-−](?=\d)/u', ' minus ', $text);
        $text = (string) preg_replace('/(?<=\d),(?=\d)/', '.', $text);
        $text = (string) preg_replace('/(?<!\d)\.|\.(?!\d)/', ' ', $text);
        $text = str_replace('%', ' % ', (string) preg_replace('/[^\p{L}\p{N}%.\s]/u', ' ', $text));
        $text = (string) preg_replace('/(\d)(k|kelvin)\b/', '$1 $2', $text);

        return trim((string) preg_replace('/\s+/u', ' ', $text));
    }

    private function reserved(string $word): bool
    {
        return isset($this->reserved[$word]) || SpokenNumber::word($word);
    }

    private function scene(string $text): ?string
    {
        $asked = (string) preg_replace(
            '/^(?:(?:start|play|run|set|turn on|switch to|activate|to|the|scene|show) )+/',
            '',
            $text,
        );
        $asked = trim((string) preg_replace('/ (?:scene|show)$/', '', $asked));
        foreach ($this->vocabulary->scenes as $id => $name) {
            if ($asked === self::plain($name)) {
                return (string) $id;
            }
        }

        return null;
    }

    /**
     * Why a sentence is none that can be obeyed; null where it may be.
     *
     * @param  list<string>  $words
     */
    private static function refused(array $words, SpokenNames $names): ?string
    {
        $free = array_values(array_diff_key($words, $names->taken));
        if (in_array($words[0], self::QUESTIONS, true) && !isset($names->taken[0])) {
            return 'Questions are not understood. Say what a light should do.';
        }
        foreach (self::REFUSED as $reason => $of) {
            if (array_intersect($free, $of) !== []) {
                return $reason;
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $words
     * @param  array<int, string>  $unknown  words that nothing is known of, by position
     * @return array{list<string>, string|null} lights that are meant, or why that is not known
     */
    private function targets(array $words, SpokenNames $names, array $unknown): array
    {
        $but = null;
        foreach ($words as $n => $word) {
            if (!isset($names->taken[$n]) && in_array($word, SpokenActions::LEFT_OUT, true)) {
                $but ??= $n;
            }
        }
        $meant = $not = [];
        foreach ($names->at as $n => $ids) {
            if ($but !== null && $n > $but) {
                $not = [...$not, ...$ids];
            } else {
                $meant = [...$meant, ...$ids];
            }
        }
        if ($unknown !== []) {
            return [[], $this->unknown($words, $unknown, $meant, $but)];
        }
        $free = array_diff_key($words, $names->taken);
        if ($meant === [] && array_intersect($free, SpokenActions::EVERYTHING) !== []) {
            $meant = array_map(strval(...), array_keys($this->vocabulary->lights));
        }
        $lights = array_values(array_unique(array_diff($meant, $not)));
        if ($lights === [] || ($but !== null && $not === [])) {
            $name = array_values($this->vocabulary->lights)[0] ?? null;

            return [
                [],
                $name === null ? 'No light of this job has a name yet.' : "Which light? Say a name, such as “{$name}”.",
            ];
        }

        return [$lights, null];
    }

    /** @param  list<string>  $lights */
    private function nothing(array $lights): string
    {
        return 'What shall ' .
            implode(', ', array_map(fn(string $l): string => $this->vocabulary->lights[$l], $lights)) .
            ' do? Say on, off, a percentage, a colour or a white.';
    }

    /**
     * @param  list<string>  $words
     * @param  non-empty-array<int, string>  $unknown
     * @param  list<string>  $meant
     * @param  int|null  $but  position of the word that leaves lights out
     */
    private function unknown(array $words, array $unknown, array $meant, ?int $but): string
    {
        $said = implode(' ', $unknown);
        $first = array_key_first($unknown);
        $listed = $but !== null && $first > $but;
        for ($n = $first - 1; $n >= 0 && in_array($words[$n], ['the', 'a', 'an', 'my', 'our', 'and'], true); $n--) {
            $listed = $listed || $words[$n] === 'and';
        }
        if ($meant !== [] && !$listed) {
            return "“{$said}” is not understood. Say names, and on, off, a percentage, a colour or a white.";
        }
        $best = ['', PHP_INT_MAX];
        foreach ([...array_values($this->vocabulary->lights), ...array_keys($this->vocabulary->rooms)] as $name) {
            $far = levenshtein(substr($said, 0, 60), substr(self::plain((string) $name), 0, 60));
            $best = $far < $best[1] ? [(string) $name, $far] : $best;
        }
        if ($best[0] === '') {
            return 'No light of this job has a name yet.';
        }

        return "No light or room is called “{$said}”. The nearest is “{$best[0]}”.";
    }
}
