<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/** Function of a control for a light. */
enum Ability: string
{
    case Switch = 'switch';
    case Dim = 'dim';
    case White = 'white';
    case Colour = 'colour';
    case Scene = 'scene';

    /** Kinds of light that have whites of several temperatures, and colours. */
    private const WHITES = ['tunable', 'rgbcct', 'rgb', 'rgbw', 'pixels'];

    private const COLOURS = ['rgb', 'rgbw', 'rgbcct', 'pixels'];

    /** Such as "white temperature". */
    public function words(): string
    {
        return match ($this) {
            self::Switch => 'on and off',
            self::Dim => 'dimming',
            self::White => 'white temperature',
            self::Colour => 'colour',
            self::Scene => 'scenes',
        };
    }

    /**
     * Functions of a control for a light: all of the light's type, less those missing in its app; on, off and dimming only for other types. A phone
     * in direct control has all functions.
     *
     * @param  Unit|null  $hub hub of an assistant: its abilities limit those of the assistant
     * @return list<self>
     */
    public static function between(Unit $control, Unit $light, ?Unit $hub = null): array
    {
        $able = [self::Switch, self::Dim];
        $through = $control->role === Unit::ASSISTANT && $hub !== null ? [$control, $hub] : [$control];
        foreach (self::ofKind($light->kind) as $ability) {
            $lacking = array_filter($through, static fn(Unit $u): bool => !$u->can($ability, $light->kind));
            if ($lacking === []) {
                $able[] = $ability;
            }
        }
        $scenes = array_filter($through, static fn(Unit $u): bool => !$u->keepsScenes());

        return $scenes === [] ? [...$able, self::Scene] : $able;
    }

    /**
     * Missing functions of the control, such as "no colour"; empty if none.
     *
     * @param  list<self>  $able
     */
    public static function missing(string $kind, array $able): string
    {
        $missing = array_filter(self::ofKind($kind), static fn(self $a): bool => !in_array($a, $able, true));

        return implode(', ', array_map(static fn(self $a): string => "no {$a->words()}", $missing));
    }

    /** @return list<self> whites and colours of a kind of light */
    public static function ofKind(string $kind): array
    {
        return array_values(
            array_filter([
                in_array($kind, self::WHITES, true) ? self::White : null,
                in_array($kind, self::COLOURS, true) ? self::Colour : null,
            ]),
        );
    }
}
