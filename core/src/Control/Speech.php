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

    /** Words that only join others. */
    private const JOINING = [
        'the',
        'a',
        'an',
        'to',
        'of',
        'in',
        'at',
        'with',
        'and',
        'my',
        'our',
        'go',
        'goes',
        'make',
        'set',
        'put',
        'turn',
        'switch',
        'light',
        'lights',
        'lamp',
        'lamps',
        'room',
        'level',
    ];

    private const POLITE = '/\b(?:please|thank you|thanks|hey|okay|ok|could you|can you|would you|will you|i would like|id like|i want|let me have)\b/';

    private const EVERYTHING = ['all', 'everything', 'everywhere', 'every', 'lights', 'lamps'];

    private const LEFT_OUT = ['but', 'except', 'excluding', 'without'];

    private const PERCENT = ['%', 'percent', 'per'];

    /** Words for a level, in percent. */
    private const LEVELS = [
        'on' => 100.0,
        'off' => 0.0,
        'out' => 0.0,
        'full' => 100.0,
        'fully' => 100.0,
        'maximum' => 100.0,
        'brightest' => 100.0,
        'half' => 50.0,
    ];

    /** Percent where somebody says only "dim": assumed. */
    private const DIMMED = 30.0;

    /** Share of full by which one word makes it brighter or dimmer: assumed. */
    private const STEPS = [
        'brighter' => 0.2,
        'up' => 0.2,
        'lighter' => 0.2,
        'dimmer' => -0.2,
        'darker' => -0.2,
        'down' => -0.2,
    ];

    /** Kelvin by which one word changes a white: assumed. */
    private const WARMER = ['warmer' => -500, 'cooler' => 500, 'colder' => 500];

    /** Kelvin of whites by their words. Common practice, no source. */
    private const WHITES = [
        'warm white' => 2700,
        'soft white' => 2700,
        'neutral white' => 4000,
        'cool white' => 6500,
        'cold white' => 6500,
        'daylight' => 6500,
        'candle' => 2000,
    ];

    private const COLOURS = [
        'deep red',
        'red',
        'orange',
        'amber',
        'yellow',
        'green',
        'turquoise',
        'cyan',
        'blue',
        'purple',
        'violet',
        'magenta',
        'pink',
        'white',
    ];

    /** What cannot be done, by the words that ask for it; the first that is said decides. */
    private const REFUSED = [
        'It is not known what to do from what is not to do. Say what the light should do.' => [
            'not',
            'never',
            'dont',
            'no',
            'doesnt',
            'wont',
        ],
        'A condition is nothing to say: add it as an automation at Scenes.' => [
            'if',
            'unless',
            'when',
            'whenever',
            'while',
            'until',
            'once',
        ],
        'Nothing here can wait: say it when it should happen, or add a time of day at Scenes.' => [
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

    private const TWICE = 'Two things at once: say one after the other.';

    /** @var array<string, true> words that ask for something, or only join others */
    private array $reserved;

    public function __construct(private Vocabulary $vocabulary)
    {
        $this->reserved = array_fill_keys(
            [
                ...self::JOINING,
                ...self::EVERYTHING,
                ...self::LEFT_OUT,
                ...self::PERCENT,
                'dim',
                'kelvin',
                'k',
                'cent',
                ...array_keys(self::LEVELS),
                ...array_keys(self::STEPS),
                ...array_keys(self::WARMER),
                ...explode(' ', implode(' ', [...self::COLOURS, ...array_keys(self::WHITES)])),
                ...self::QUESTIONS,
                ...array_merge(...array_values(self::REFUSED)),
            ],
            true,
        );
    }

    public function hear(string $said): Heard
    {
        $text = trim((string) preg_replace('/\s+/', ' ', (string) preg_replace(self::POLITE, ' ', self::plain($said))));
        if ($text === '') {
            return new Heard(trouble: 'Nothing was said that could be heard. Try “Cove on”.');
        }
        $scene = $this->scene($text);
        if ($scene !== null) {
            return new Heard(scene: $scene);
        }
        $words = explode(' ', $text);
        $names = SaidNames::in($words, $this->vocabulary, $this->reserved(...), self::plain(...));
        $trouble = self::refused($words, $names);
        if ($trouble !== null) {
            return new Heard(trouble: $trouble);
        }
        [$deeds, $used] = self::deeds($words, $names);
        $unknown = array_diff_key($words, $used, $names->taken);
        [$lights, $missing] = $this->targets($words, $names, $unknown);
        if ($missing !== null) {
            return new Heard(trouble: $missing);
        }
        $trouble = self::contradiction($deeds) ?? ($deeds === [] ? $this->nothing($lights) : null);

        return $trouble === null ? self::heard($lights, $deeds) : new Heard(trouble: $trouble);
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
        return isset($this->reserved[$word]) || SaidNumber::word($word);
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
    private static function refused(array $words, SaidNames $names): ?string
    {
        $free = array_values(array_diff_key($words, $names->taken));
        if (in_array($words[0], self::QUESTIONS, true) && !isset($names->taken[0])) {
            return 'That is a question: only what lights should do is understood here.';
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
     * @return array{list<array{string, float|int|string}>, array<int, true>} what is asked for, as its kind and value, and the words that ask for it
     */
    private static function deeds(array $words, SaidNames $names): array
    {
        $deeds = [];
        $used = [];
        for ($n = 0; $n < count($words); $n += $size) {
            $size = 1;
            if (isset($names->taken[$n])) {
                continue;
            }
            [$deed, $size] = self::deed($words, $n);
            if ($deed !== null) {
                $deeds[] = $deed;
            }
            if ($deed !== null || self::joins($words[$n])) {
                $used += array_fill_keys(range($n, $n + $size - 1), true);
            }
        }

        return [$deeds, $used];
    }

    private static function joins(string $word): bool
    {
        return in_array($word, [...self::JOINING, ...self::EVERYTHING, ...self::LEFT_OUT], true);
    }

    /**
     * @param  list<string>  $words
     * @return array{array{string, float|int|string}|null, int} kind and value of what a word asks for, and how many words that takes
     */
    private static function deed(array $words, int $n): array
    {
        $number = SaidNumber::at($words, $n);
        if ($number !== null) {
            return self::number($words, $n, $number);
        }
        $two = $words[$n] . ' ' . ($words[$n + 1] ?? '');
        foreach ([[$two, 2], [$words[$n], 1]] as [$said, $size]) {
            $deed = match (true) {
                isset(self::WHITES[$said]) => ['kelvin', self::WHITES[$said]],
                in_array($said, self::COLOURS, true) => ['colour', $said],
                isset(self::LEVELS[$said]) => [$said === 'on' ? 'on' : 'level', self::LEVELS[$said]],
                $said === 'dim' => ['dim', self::DIMMED],
                isset(self::STEPS[$said]) => ['step', self::STEPS[$said]],
                isset(self::WARMER[$said]) => ['warmer', self::WARMER[$said]],
                default => null,
            };
            if ($deed !== null) {
                return [$deed, $size];
            }
        }

        return [null, 1];
    }

    /**
     * A level where percent follows or "to" or "at" stands before; a white where kelvin follows.
     *
     * @param  list<string>  $words
     * @return array{array{string, float|int}|null, int}
     */
    private static function number(array $words, int $n, SaidNumber $number): array
    {
        $next = $words[$n + $number->size] ?? '';
        if (in_array($next, ['k', 'kelvin'], true)) {
            return [['kelvin', (int) $number->value], $number->size + 1];
        }
        if (in_array($next, self::PERCENT, true)) {
            return [['level', $number->value], $number->size + ($next === 'per' ? 2 : 1)];
        }

        return [in_array($words[$n - 1] ?? '', ['to', 'at'], true) ? ['level', $number->value] : null, $number->size];
    }

    /** @param  list<array{string, float|int|string}>  $deeds */
    private static function contradiction(array $deeds): ?string
    {
        $levels = self::of($deeds, 'level');
        foreach ($levels as $level) {
            if ($level > 100) {
                return sprintf('%g %% cannot be: 100 %% is full.', $level);
            }
        }
        $off = in_array(0.0, $levels, true) && (self::of($deeds, 'on') !== [] || self::of($deeds, 'colour') !== []);
        $several =
            count(array_unique($levels)) > 1 ||
            count(array_unique(self::of($deeds, 'colour'))) > 1 ||
            count(array_unique(self::of($deeds, 'kelvin'))) > 1 ||
            count(array_unique(self::of($deeds, 'step'))) > 1;
        $mixed = self::of($deeds, 'step') !== [] && ($levels !== [] || self::of($deeds, 'dim') !== []);
        $twice = self::of($deeds, 'colour') !== [] && self::of($deeds, 'kelvin') !== [];

        return $off || $several || $mixed || $twice ? self::TWICE : null;
    }

    /**
     * @param  list<array{string, float|int|string}>  $deeds
     * @return list<float|int|string>
     */
    private static function of(array $deeds, string $kind): array
    {
        return array_column(array_filter($deeds, static fn(array $d): bool => $d[0] === $kind), 1);
    }

    /**
     * @param  list<string>  $lights
     * @param  list<array{string, float|int|string}>  $deeds  without contradiction
     */
    private static function heard(array $lights, array $deeds): Heard
    {
        $first = static fn(string $kind): float|int|string|null => self::of($deeds, $kind)[0] ?? null;
        $level = $first('level') ?? ($first('dim') ?? ($first('step') === null ? $first('on') : null));
        $kelvin = $first('kelvin');
        $step = $first('step');
        $warmer = $first('warmer');

        return new Heard(
            lights: $lights,
            level: $level === null ? null : (float) $level / 100,
            colour: (string) $first('colour'),
            kelvin: $kelvin === null ? null : (int) $kelvin,
            step: $step === null ? null : (float) $step,
            warmer: $warmer === null ? null : (int) $warmer,
        );
    }

    /**
     * @param  list<string>  $words
     * @param  array<int, string>  $unknown  words that nothing is known of, by position
     * @return array{list<string>, string|null} lights that are meant, or why that is not known
     */
    private function targets(array $words, SaidNames $names, array $unknown): array
    {
        $but = null;
        foreach ($words as $n => $word) {
            if (!isset($names->taken[$n]) && in_array($word, self::LEFT_OUT, true)) {
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
        if ($meant === [] && array_intersect($free, self::EVERYTHING) !== []) {
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
