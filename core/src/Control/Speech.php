<?php

declare(strict_types=1);

namespace EmberDusk\Control;

/**
 * Understands what people say to an assistant: lights, rooms, everything, all but some; on, off, so many percent, a colour, a white, a scene. No
 * more than names, numbers and a few words: what is not understood is said back.
 */
final readonly class Speech
{
    private const MOST = 300;

    /** Common practice, no source. */
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

    private const TENS = [
        'ten' => 10,
        'twenty' => 20,
        'thirty' => 30,
        'forty' => 40,
        'fifty' => 50,
        'sixty' => 60,
        'seventy' => 70,
        'eighty' => 80,
        'ninety' => 90,
        'hundred' => 100,
    ];

    private const ONES = [
        'one' => 1,
        'two' => 2,
        'three' => 3,
        'four' => 4,
        'five' => 5,
        'six' => 6,
        'seven' => 7,
        'eight' => 8,
        'nine' => 9,
        'fifteen' => 15,
    ];

    /** Where somebody says only “dim”: assumed. */
    private const DIMMED = 0.3;

    public function __construct(private Vocabulary $vocabulary) {}

    public function hear(string $said): Heard
    {
        $text = self::plain($said);
        if ($text === '') {
            return new Heard(trouble: 'Nothing was said that could be heard. Try “Cove on”.');
        }
        $scene = $this->scene($text);
        if ($scene !== null) {
            return new Heard(scene: $scene);
        }
        [$level, $colour, $kelvin, $rest] = self::action($text);
        $lights = $this->targets($rest);
        if ($lights === []) {
            return new Heard(trouble: $this->unknown($rest));
        }
        if ($level === null && $colour === '' && $kelvin === null) {
            return new Heard(
                trouble: 'What shall ' .
                    implode(', ', array_map(fn(string $l): string => $this->vocabulary->lights[$l], $lights)) .
                    ' do? Say on, off, a percentage, a colour or a white.',
            );
        }

        return new Heard($lights, $level, $colour, $kelvin);
    }

    /** Small letters, no signs but the percent, one space between words. */
    private static function plain(string $said): string
    {
        $text = mb_strtolower(mb_substr(mb_scrub($said), 0, self::MOST));

        return trim((string) preg_replace('/\s+/u', ' ', (string) preg_replace('/[^\p{L}\p{N}%\s]/u', ' ', $text)));
    }

    private function scene(string $text): ?string
    {
        $asked = (string) preg_replace('/^(please |start |play |run |set |turn on |activate |the )+/', '', $text);
        $asked = trim((string) preg_replace('/\b(scene|please)\b/', '', $asked));
        foreach ($this->vocabulary->scenes as $id => $name) {
            if ($asked === self::plain($name)) {
                return (string) $id;
            }
        }

        return null;
    }

    /** @return array{float|null, string, int|null, string} level, colour, white in kelvin, and what is left of the text */
    private static function action(string $text): array
    {
        $kelvin = null;
        if (preg_match('/\b(\d{4,5}) ?(?:k|kelvin)\b/', $text, $m) === 1) {
            $kelvin = (int) $m[1];
            $text = str_replace($m[0], ' ', $text);
        }
        foreach (self::WHITES as $words => $white) {
            if ($kelvin === null && preg_match("/\\b{$words}\\b/", $text) === 1) {
                $kelvin = $white;
                $text = (string) preg_replace("/\\b{$words}\\b/", ' ', $text);
            }
        }
        [$level, $text] = self::level($text);
        $colour = '';
        // A colour is what comes last, or after a word that asks for it: a light may be called by one.
        if (
            preg_match(
                '/(?:\b(?:to|in|make|turn|goes|go)\b.*?|)\b(' . implode('|', self::COLOURS) . ')$/',
                trim($text),
                $m,
            ) === 1
        ) {
            $colour = $m[1];
            $text = substr(trim($text), 0, -strlen($colour));
        }

        return [$level, $colour, $kelvin, trim($text)];
    }

    /** @return array{float|null, string} level from 0 to 1, and what is left of the text */
    private static function level(string $text): array
    {
        $number =
            '\d{1,3}|(?:a )?(?:' .
            implode('|', array_keys(self::TENS)) .
            ')(?: (?:' .
            self::ones() .
            '))?|' .
            self::ones();
        $percent = '(?:%|percent|per cent)(?=\s|$)';
        // Each with its level in percent; none where it is the number that was said.
        $patterns = [
            ["/\b(?:to )?({$number}) ?{$percent}/u", null],
            ["/\bto ({$number})$/u", null],
            ['/\b(?:to )?half\b/', 50.0],
            ['/\b(?:full|fully|maximum|brightest)\b/', 100.0],
            ['/\b(?:turn |switch |put )?off\b|\bout\b/', 0.0],
            ['/\b(?:turn |switch |put )?on\b/', 100.0],
            ['/\bdim\b/', 100 * self::DIMMED],
        ];
        foreach ($patterns as [$pattern, $level]) {
            if (preg_match($pattern, $text, $m) === 1) {
                $rest = trim((string) preg_replace($pattern, ' ', $text, 1));

                return [min(100.0, $level ?? self::number($m[1] ?? '')) / 100, $rest];
            }
        }

        return [null, $text];
    }

    private static function ones(): string
    {
        return implode('|', array_keys(self::ONES));
    }

    /** A number as it is spoken or written. */
    private static function number(string $said): float
    {
        if (is_numeric($said)) {
            return (float) $said;
        }
        $sum = 0;
        foreach (explode(' ', $said) as $word) {
            $sum += self::TENS[$word] ?? (self::ONES[$word] ?? 0);
        }

        return (float) $sum;
    }

    /** @return list<string> lights that are meant */
    private function targets(string $text): array
    {
        $parts = (array) preg_split('/\b(?:but|except|excluding|without)\b/', $text, 2);
        $meant = $this->named((string) $parts[0]);
        if ($meant === [] && preg_match('/\b(?:all|everything|everywhere|every|lights)\b/', (string) $parts[0]) === 1) {
            $meant = array_keys($this->vocabulary->lights);
        }
        if (count($parts) === 1) {
            return array_map(strval(...), $meant);
        }
        $not = $this->named((string) $parts[1]);

        // What is left out must be known, or too many would answer.
        if ($not === []) {
            return [];
        }

        return array_values(array_map(strval(...), array_diff($meant, $not)));
    }

    /**
     * Lights whose names or rooms are in the text: the longest names first, letter by letter before what only sounds like it, each word once.
     *
     * @return list<string>
     */
    private function named(string $text): array
    {
        $words = explode(' ', $text);
        $free = array_fill(0, count($words), true);
        $found = [];
        foreach ($this->places($words) as [$from, $size, , $ids]) {
            $at = range($from, $from + $size - 1);
            if (array_filter($at, static fn(int $n): bool => !$free[$n]) === []) {
                $free = array_fill_keys($at, false) + $free;
                $found = [...$found, ...$ids];
            }
        }

        return array_values(array_unique($found));
    }

    /**
     * Where in the words a name is said, or something that sounds like it.
     *
     * @param  list<string>  $words
     * @return list<array{int, int, int, list<string>}> first word, how many, 0 letter by letter or 1, lights
     */
    private function places(array $words): array
    {
        $names = [];
        foreach ($this->vocabulary->lights as $id => $name) {
            $names[] = [self::plain($name), [(string) $id]];
        }
        foreach ($this->vocabulary->rooms as $room => $ids) {
            $names[] = [self::plain((string) $room), $ids];
        }
        $places = [];
        foreach ($names as [$name, $ids]) {
            $size = substr_count($name, ' ') + 1;
            for ($n = 0; $name !== '' && $n + $size <= count($words); $n++) {
                $said = implode(' ', array_slice($words, $n, $size));
                if ($said === $name || Sound::same($said, $name)) {
                    $places[] = [$n, $size, $said === $name ? 0 : 1, $ids];
                }
            }
        }
        usort($places, static fn(array $a, array $b): int => [$b[1], $a[2]] <=> [$a[1], $b[2]]);

        return $places;
    }

    private function unknown(string $text): string
    {
        $words = trim(
            (string) preg_replace(
                '/\b(?:the|please|to|turn|switch|put|set|make|all|but|and|in|dim|lights?)\b/',
                ' ',
                $text,
            ),
        );
        $best = ['', PHP_INT_MAX];
        foreach ([...array_values($this->vocabulary->lights), ...array_keys($this->vocabulary->rooms)] as $name) {
            $far = levenshtein(substr($words, 0, 60), substr(self::plain((string) $name), 0, 60));
            $best = $far < $best[1] ? [(string) $name, $far] : $best;
        }
        if ($best[0] === '') {
            return 'No light of this job has a name yet.';
        }

        if ($words === '') {
            return "Which light? Say a name, such as “{$best[0]}”.";
        }

        return "No light or room is called “{$words}”. The nearest is “{$best[0]}”.";
    }
}
