<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** Takes the lengths of one text, which all keep to the system of its first one. */
final class WallLengths
{
    /** No room that is measured by tape has a longer leg, in metres. */
    private const LONGEST = 500.0;

    private ?string $system = null;

    public function system(): string
    {
        return $this->system ?? Length::METRIC;
    }

    /** @throws SlipFound when no length stands there, or one that cannot be */
    public function take(Clause $clause, string $expected, bool $nought = false): MeasuredWord
    {
        $measured = LengthReader::take($clause, $expected);
        if ($measured->metres <= 0 && !$nought) {
            throw new SlipFound($clause->slip($measured->word, 'A length must be more than 0.'));
        }
        if ($measured->metres > self::LONGEST) {
            throw new SlipFound(
                $clause->slip(
                    $measured->word,
                    sprintf(
                        '%s is longer than the %d m that one leg may have. Did you mean metres?',
                        $measured->word->text,
                        self::LONGEST,
                    ),
                ),
            );
        }
        $this->system ??= $measured->system;
        if ($measured->system !== $this->system) {
            throw new SlipFound(
                $clause->slip(
                    $measured->word,
                    $this->system === Length::METRIC
                        ? 'These notes use metres; type this length in metres too.'
                        : 'These notes use feet and inches; type this length in them too.',
                    Length::write($measured->metres, $this->system),
                ),
            );
        }

        return $measured;
    }

    public function say(float $metres): string
    {
        return Length::say($metres, $this->system());
    }
}
